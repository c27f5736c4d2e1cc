/**
 * npm run bench: the figures of the program's speed, against what it must reach. `npm run bench -- largeKit`
 * takes one part of it.
 */
import { mkdtempSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { readyDebian, readyBuild, readyPackages } from './lib/ready.mjs';

await readyPackages();
await readyDebian();
await readyBuild();
const { By, until } = await import('selenium-webdriver');
const { openBrowser } = await import('./lib/browser.mjs');
const { serve } = await import('./lib/serve.mjs');
const { row } = await import('./bench/row.mjs');
const { bundled } = await import('./bench/bundled.mjs');
const { coreSpeed } = await import('./bench/coreSpeed.mjs');
const { largeKit } = await import('./bench/largeKit.mjs');
const { choosing } = await import('./bench/choosing.mjs');

async function measuring() {
  const m = await bundled('measuring');
  const percent = (v) => `${(100 * v).toFixed(1)} %`;
  const mm = (v) => `${v.toFixed(3)} mm`;
  const n = `${m.measured} of ${m.frames} frames measured`;
  row(
    `half light within 0.10 mm from f/5.6 on (${n})`,
    percent(m.slowWithin),
    '≥ 95 %',
    m.slowWithin >= 0.95,
  );
  row(
    'half light within 0.30 mm or its interval, faster',
    percent(m.fastWithin),
    '≥ 95 %',
    m.fastWithin >= 0.95,
  );
  row(
    '90 % intervals that hold the truth',
    percent(m.held),
    '85 to 97 %',
    m.held >= 0.85 && m.held <= 0.97,
  );
  row('centre, 95th percentile', mm(m.centreQ95), '< 0.05 mm', m.centreQ95 < 0.05);
  row('-1 stop radius, 95th percentile', mm(m.minus1Q95), '< 0.15 mm', m.minus1Q95 < 0.15);
  row('-2 stop radius, 95th percentile', mm(m.minus2Q95), '< 0.15 mm', m.minus2Q95 < 0.15);
  row('lower bound above the truth, at most', mm(m.boundOver), '< 0.1 mm', m.boundOver < 0.1);
  row('good frames refused', String(m.refused), '0', m.refused === 0);
  const hough = `a general circle finder: ${mm(m.houghMedian)}, none in ${m.houghMissed}`;
  row(`half light, median (${hough})`, mm(m.ourMedian), 'below it', m.ourMedian < m.houghMedian);
}

async function frameSpeed() {
  const s = await bundled('frameSpeed');
  const ms = (v) => `${v.toFixed(0)} ms`;
  const share = s.analyseMs / s.decodeMs;
  row(
    `24 MP JPEG in Node: analysis ${ms(s.analyseMs)}, decoding ${ms(s.decodeMs)}`,
    `× ${share.toFixed(2)}`,
    `≤ × 1 (the first analysis took ${ms(s.firstAnalyseMs)})`,
    share <= 1,
  );
  row(
    'memory at its most, whole process',
    `${s.memoryMb.toFixed(0)} MB`,
    '< 400 MB',
    s.memoryMb < 400,
  );
}

/** The same in the room itself: the browser's decoder, and the worker that measures. */
async function frameSpeedInBrowser() {
  const folder = mkdtempSync(join(tmpdir(), 'halo-frame-'));
  const path = join(folder, 'wall.jpg');
  const { jpeg } = await bundled('frameFile');
  writeFileSync(path, Buffer.from(jpeg, 'base64'));
  const server = await serve({ port: 4390, demo: true });
  const { driver } = await openBrowser();
  try {
    await driver.get(`${server.url}/measure`);
    const input = 'input[type="file"][aria-label="Test frames"]';
    await driver.wait(async () => (await driver.findElements({ css: input })).length > 0, 20_000);
    const times = [];
    for (let i = 0; i < 9; i += 1) {
      await driver.findElement({ css: input }).sendKeys(path);
      await driver.wait(async () => {
        const [took] = await driver.findElements({ css: '[data-testid="took"]' });
        const found = /Decoded in ([\d.]+) s, measured in ([\d.]+) s/.exec(
          (await took?.getText()) ?? '',
        );
        if (found) times.push({ decode: Number(found[1]), measure: Number(found[2]) });
        return found !== null;
      }, 60_000);
      await driver.findElement({ css: 'button[aria-label="Remove wall.jpg"]' }).click();
    }
    const middle = (key) => times.map((t) => t[key]).sort((a, b) => a - b)[times.length >> 1];
    const [decode, measure] = [middle('decode'), middle('measure')];
    row(
      `the same in the browser: ${measure.toFixed(2)} s, decoding ${decode.toFixed(2)} s`,
      `× ${(measure / decode).toFixed(2)}`,
      '≤ × 1',
      measure <= decode,
    );
  } finally {
    await driver.quit();
    await server.stop();
  }
}

/** Lenses traced by rays, that nothing was tuned on: do the intervals hold, does what is said come? */
async function tracedLenses() {
  const { lenses, own, frames: ofFrames, scenarios, bands } = await bundled('traced');
  const percent = (v) => `${(v * 100).toFixed(1)} %`;
  for (const { frames, cases, medianMm, within } of own) {
    const what = `a sample of ${frames} at its own frame’s aperture (${cases} cases)`;
    row(`${what}, from the frame`, `${medianMm.toFixed(3)} mm`, '≤ 0.05 mm', medianMm <= 0.05);
    row(`${what}, within its interval`, percent(within), '≥ 95 %', within >= 0.95);
  }
  for (const { name, cases, held } of ofFrames) {
    const what = `90 % intervals that hold, of a frame itself, ${name} (${cases} cases)`;
    row(what, percent(held), '85 to 97 %', held >= 0.85 && held <= 0.97);
  }
  for (const { name, cases, held, medianMm } of scenarios) {
    row(
      `90 % intervals that hold, ${name} (${cases} cases, ${medianMm.toFixed(2)} mm)`,
      percent(held),
      '85 to 97 %',
      held >= 0.85 && held <= 0.97,
    );
  }
  for (const { name, calmCases, calmBad } of scenarios) {
    if (calmCases < 20) continue;
    row(
      `risk said under 5 %, ${name} (${calmCases} cases)`,
      percent(calmBad),
      '≤ 5 %',
      calmBad <= 0.05,
    );
  }
  for (const { from, to, cases, said, seen } of bands) {
    if (cases < 40) continue;
    row(
      `risk of ${percent(from)} to ${percent(Math.min(1, to))}, ${lenses} lenses (${cases} cases): said ${percent(said)}`,
      percent(seen),
      'within 10 points',
      Math.abs(said - seen) <= 0.1,
    );
  }
}

/** Script time of each frame while something is dragged between two places across it and back, ms. */
async function dragFrames(driver, css, [from, to], frames = 160) {
  await driver.sendDevToolsCommand('Performance.enable', {});
  const scriptSeconds = async () => {
    const { metrics } = await driver.sendAndGetDevToolsCommand('Performance.getMetrics', {});
    return metrics.find((m) => m.name === 'ScriptDuration').value;
  };
  await driver.executeScript(
    `const [css, from, to] = arguments;
     const held = document.querySelector(css);
     const box = held.getBoundingClientRect();
     held.setPointerCapture = () => {};
     window.haloMove = (type, place) => held.dispatchEvent(new PointerEvent(type, { bubbles: true, pointerId: 1, button: 0,
       clientX: box.left + 14 + (from + place * (to - from)) * (box.width - 28),
       clientY: box.top + box.height * 0.55, altKey: true }));
     window.haloMove('pointerdown', 0);`,
    css,
    from,
    to,
  );
  const times = [];
  let before = await scriptSeconds();
  for (let i = 0; i < frames; i += 1) {
    const place = Math.abs(((i / (frames / 2)) % 2) - 1);
    await driver.executeAsyncScript(
      `const done = arguments[arguments.length - 1];
       window.haloMove('pointermove', arguments[0]);
       requestAnimationFrame(() => requestAnimationFrame(() => done()));`,
      place,
    );
    const after = await scriptSeconds();
    times.push((after - before) * 1000);
    before = after;
  }
  await driver.executeScript(`window.haloMove('pointerup', 0.5)`);
  return times.slice(20).sort((a, b) => a - b);
}

const DRAGS = [
  ...['Zoom', 'Aperture', 'Focus'].map((ring) => ({
    what: `${ring} ring dragged`,
    path: '/bench?rig=wheel-house-wide',
    css: `[data-ring="${ring}"]`,
    across: [0, 1],
  })),
  {
    what: 'stage dragged to shift',
    path: '/bench?rig=sluice-shift',
    css: '[role="application"]',
    across: [0.35, 0.65],
  },
  {
    what: 'Focus ring under seven columns of converters',
    path: '/converters?rig=waders-at-dawn',
    ready: '[data-testid="weighing"]',
    press: 'button[aria-expanded="false"]',
    css: '[data-ring="Focus"]',
    across: [0, 1],
  },
  {
    what: 'camera on the plan, two pictures',
    path: '/framing?rig=miller-portrait',
    ready: '[data-testid="moved"]',
    css: '[role="slider"][aria-label^="Camera 1"]',
    across: [0, -15],
  },
];

async function scriptsOf(url) {
  const page = await (await fetch(url)).text();
  return new Set([...page.matchAll(/src="(\/_next\/[^"]+\.js)"/g)].map((m) => m[1]));
}

/** Compressed scripts the Bench loads beyond those of a page that only says it is not there, KB. */
async function scriptsBeyondFramework(url) {
  const framework = await scriptsOf(`${url}/no-such-page`);
  let total = 0;
  for (const src of await scriptsOf(`${url}/bench`)) {
    if (framework.has(src)) continue;
    total += gzipSync(Buffer.from(await (await fetch(url + src)).arrayBuffer())).length;
  }
  return total / 1024;
}

async function screenSpeed() {
  const server = await serve({ port: 4390, demo: true });
  const { driver } = await openBrowser();
  try {
    const open = async (path, ready = '[data-testid="verdict"]') => {
      await driver.get(`${server.url}${path}`);
      await driver.wait(async () => (await driver.findElements({ css: ready })).length > 0, 20_000);
    };
    for (const { what, path, ready, press, css, across } of DRAGS) {
      await open(path, ready);
      if (press) await driver.findElement({ css: `main ${press}` }).click();
      const times = await dragFrames(driver, css, across);
      const p95 = times[Math.floor(times.length * 0.95)];
      const p50 = times[Math.floor(times.length / 2)];
      row(
        `${what}: script a frame, 95th percentile`,
        `${p95.toFixed(1)} ms`,
        `< 16 ms (median ${p50.toFixed(1)} ms)`,
        p95 < 16,
      );
    }
    await open('/bench?rig=wheel-house-wide');
    const ready = await driver.executeScript('return performance.now()');
    row('Bench open and readable after', `${ready.toFixed(0)} ms`, '< 2,000 ms', ready < 2000);
    const kb = await scriptsBeyondFramework(server.url);
    row(
      'scripts of the first load beyond the framework',
      `${kb.toFixed(0)} KB gz`,
      '< 250 KB',
      kb < 250,
    );
  } finally {
    await driver.quit();
    await server.stop();
  }
}

/** Starts to watch for the longest time between two frames of a page; answers how to read it, ms. */
async function watchFrames(driver) {
  await driver.executeScript(`
    window.longest = 0; let last = performance.now();
    requestAnimationFrame(function tick(now) {
      window.longest = Math.max(window.longest, now - last); last = now; requestAnimationFrame(tick);
    });`);
  return () => driver.executeScript('return window.longest');
}

const LENSFUN = '/usr/share/lensfun/version_1';

/** Whether the screen stays alive while workers are busy: the longest time it stood still. */
async function staysAlive() {
  const server = await serve({ port: 4390, demo: true });
  const { driver } = await openBrowser();
  const button = (words) => By.xpath(`//button[starts-with(normalize-space(.), "${words}")]`);
  const seen = (locator) => driver.wait(until.elementLocated(locator), 60_000);
  /** Presses again until what it opens is there: a press before the page is ready does nothing. */
  const pressUntil = (pressed, opened) =>
    driver.wait(async () => {
      if ((await driver.findElements(opened)).length > 0) return true;
      const [found] = await driver.findElements(pressed);
      await found?.click().catch(() => undefined);
      await new Promise((done) => setTimeout(done, 400));
      return false;
    }, 60_000);
  try {
    const { jpeg } = await bundled('frameFile');
    const path = join(mkdtempSync(join(tmpdir(), 'halo-frame-')), 'wall.jpg');
    writeFileSync(path, Buffer.from(jpeg, 'base64'));
    await driver.get(`${server.url}/measure`);
    const input = await seen(By.css('input[type="file"][aria-label="Test frames"]'));
    const waited = await watchFrames(driver);
    await input.sendKeys(Array.from({ length: 6 }, () => path).join('\n'));
    await driver.wait(
      async () =>
        /^6 frames/.test(
          await driver.executeScript(
            `return document.querySelector('section[aria-label="Frames"] [role="status"]')?.textContent ?? ''`,
          ),
        ),
      120_000,
    );
    const measuring = await waited();
    row(
      'longest stand-still while six frames are measured',
      `${measuring.toFixed(0)} ms`,
      '< 200 ms',
      measuring < 200,
    );

    await driver.get(`${server.url}/kit`);
    await pressUntil(button('In and out'), By.xpath('//*[@role="menuitem"]'));
    await pressUntil(
      By.xpath('//*[@role="menuitem"][contains(., "Pick from")]'),
      By.css('input[type="file"][aria-label="Lensfun files"]'),
    );
    const files = readdirSync(LENSFUN)
      .filter((f) => f.endsWith('.xml'))
      .map((f) => join(LENSFUN, f));
    const began = await watchFrames(driver);
    const database = await seen(By.css('input[type="file"][aria-label="Lensfun files"]'));
    await database.sendKeys(files.join('\n'));
    const words = await driver.wait(async () => {
      const [status] = await driver.findElements(
        By.xpath('//*[contains(text(), " mounts read in ")]'),
      );
      return status ? status.getText() : null;
    }, 60_000);
    const reading = await began();
    const seconds = Number(/read in (\d+\.\d) s/.exec(words)?.[1]);
    row('the whole Lensfun database read', `${seconds.toFixed(1)} s`, '< 5 s', seconds < 5);
    row('longest stand-still meanwhile', `${reading.toFixed(0)} ms`, '< 200 ms', reading < 200);
  } finally {
    await driver.quit();
    await server.stop();
  }
}

const PARTS = {
  coreSpeed,
  tracedLenses,
  measuring,
  frameSpeed,
  frameSpeedInBrowser,
  screenSpeed,
  staysAlive,
  choosing,
  largeKit,
};
const asked = process.argv.slice(2);
const unknown = asked.filter((name) => !(name in PARTS));
if (unknown.length > 0) {
  console.error(
    `The bench has no part “${unknown[0]}”; there are ${Object.keys(PARTS).join(', ')}.`,
  );
  process.exit(2);
}
for (const [name, measure] of Object.entries(PARTS)) {
  if (asked.length === 0 || asked.includes(name)) await measure();
}
