/** npm run bench: the figures of the program's speed, against what it must reach. */
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { readyDebian, readyBuild, readyPackages } from './lib/ready.mjs';
import { run } from './lib/run.mjs';

await readyPackages();
await readyDebian();
await readyBuild();
const { build } = await import('esbuild');
const { openBrowser } = await import('./lib/browser.mjs');
const { serve } = await import('./lib/serve.mjs');

const row = (what, figure, target, met) =>
  console.log(
    `${met ? 'met ' : 'MISS'}  ${what.padEnd(52)} ${figure.padStart(14)}   target ${target}`,
  );

/** Bundles and runs a script of the bench; answers what it printed. */
async function bundled(name) {
  const outfile = join(mkdtempSync(join(tmpdir(), 'halo-bench-')), `${name}.mjs`);
  await build({
    entryPoints: [`scripts/bench/${name}.ts`],
    bundle: true,
    format: 'esm',
    platform: 'node',
    outfile,
  });
  const { output } = await run(process.execPath, [outfile], { capture: true });
  return JSON.parse(output);
}

async function coreSpeed() {
  const figures = await bundled('core');
  const { evaluationsPerSecond: full, verdictsPerSecond: quick, waysOutMs, choose } = figures;
  row('full evaluations a second, one core', full.toLocaleString('en'), '≥ 20,000', full >= 20_000);
  row('verdicts a second, one core', quick.toLocaleString('en'), '≥ 150,000', quick >= 150_000);
  row('ways out, slowest demo rig', `${waysOutMs.toFixed(1)} ms`, '< 5 ms', waysOutMs < 5);
  row(
    `choose over ${choose.combinations.toLocaleString('en')} combinations`,
    `${choose.seconds.toFixed(1)} s`,
    '< 8 s for 500,000',
    choose.seconds * (500_000 / choose.combinations) < 8,
  );
  row(
    'choose, first rig that passes',
    `${choose.firstMs.toFixed(0)} ms`,
    '< 300 ms',
    choose.firstMs < 300,
  );
}

async function riskCalibration() {
  const tenths = await bundled('calibration');
  const off = tenths.map((t) => Math.abs(t.predicted - t.seen) * 100);
  const worst = Math.max(...off);
  row(
    'risk against 2,000 simulated rigs, worst tenth',
    `${worst.toFixed(1)} points`,
    '< 5 points',
    worst < 5,
  );
  for (const { rigs, predicted, seen } of tenths) {
    const percent = (v) => `${(v * 100).toFixed(1)} %`.padStart(7);
    console.log(
      `      ${String(rigs).padStart(5)} rigs: said ${percent(predicted)}, came ${percent(seen)}`,
    );
  }
}

/** Script time of each frame while a ring is dragged from end to end and back, ms. */
async function dragFrames(driver, ring, frames = 160) {
  await driver.sendDevToolsCommand('Performance.enable', {});
  const scriptSeconds = async () => {
    const { metrics } = await driver.sendAndGetDevToolsCommand('Performance.getMetrics', {});
    return metrics.find((m) => m.name === 'ScriptDuration').value;
  };
  await driver.executeScript(
    `const ring = document.querySelector('[data-ring="' + arguments[0] + '"]');
     const box = ring.getBoundingClientRect();
     ring.setPointerCapture = () => {};
     window.haloMove = (type, place) => ring.dispatchEvent(new PointerEvent(type, { bubbles: true, pointerId: 1, button: 0,
       clientX: box.left + 14 + place * (box.width - 28), clientY: box.top + 30, altKey: true }));
     window.haloMove('pointerdown', 0);`,
    ring,
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
    await driver.get(`${server.url}/bench`);
    await driver.wait(
      async () => (await driver.findElements({ css: '[data-testid="verdict"]' })).length > 0,
      20_000,
    );
    for (const ring of ['Zoom', 'Aperture', 'Focus']) {
      const times = await dragFrames(driver, ring);
      const p95 = times[Math.floor(times.length * 0.95)];
      const p50 = times[Math.floor(times.length / 2)];
      row(
        `${ring} ring dragged: script a frame, 95th percentile`,
        `${p95.toFixed(1)} ms`,
        `< 16 ms (median ${p50.toFixed(1)} ms)`,
        p95 < 16,
      );
    }
    await driver.navigate().refresh();
    await driver.wait(
      async () => (await driver.findElements({ css: '[data-testid="verdict"]' })).length > 0,
      20_000,
    );
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

await coreSpeed();
await riskCalibration();
await screenSpeed();
