/** Pictures made to fill the memory, at the browser's door: each is told in a sentence, and takes little of the page. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { By } from 'selenium-webdriver';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { BOMB_BYTES, bombs } from '../support/bombs';
import { memoryMb, processes } from '../support/processes';
import { folder, MeasurePage } from './measurePage';

let room: MeasurePage;

beforeAll(async () => {
  room = await MeasurePage.opened();
});
afterAll(() => room.driver.quit());

/** The processes that draw pages and run their workers, of the browser with this one's profile. */
async function renderers(): Promise<number[]> {
  const { userDataDir } = (await room.driver.getCapabilities()).get('chrome') as {
    userDataDir: string;
  };
  return processes(
    ['-e'],
    (line) => line.includes('--type=renderer') && line.includes(userDataDir),
  );
}

/** Gives each picture in turn; none may take more than 400 MB above what the page had before. */
async function takeLittle(give: (path: string, name: string) => Promise<void>): Promise<void> {
  const pids = await renderers();
  expect(pids.length).toBeGreaterThan(0);
  const idle = new Map(pids.map((pid) => [pid, memoryMb(pid, 'VmRSS')]));
  for (const [name, bytes] of Object.entries(await bombs(BOMB_BYTES))) {
    const path = join(folder, name);
    writeFileSync(path, bytes);
    await give(path, name);
    for (const pid of await renderers())
      expect(memoryMb(pid, 'VmHWM') - (idle.get(pid) ?? 0), name).toBeLessThan(400);
  }
  await room.expectQuiet();
}

describe(`a picture made to inflate to ${BOMB_BYTES / 1e9} GB takes little of the page`, () => {
  it('as a test frame, and is told in a sentence', async () => {
    await room.openMeasure();
    let given = 0;
    await takeLittle(async (path, name) => {
      await room.giveFile(path, 'Test frames');
      await room.allMeasured((given += 1));
      await room.pickFrame(name);
      expect(await room.figures(), name).toMatch(/cannot be read|damaged|is \d+ MB|too few pixels/);
    });
  });

  it('as the picture on the stage', async () => {
    await room.openRig('rig=miller-portrait');
    const there = async (by: By) => (await room.driver.findElements(by)).length > 0;
    const isShown = () => there(By.css('button[aria-label="The stage shows my picture"]'));
    const isRefused = (name: string) =>
      there(By.xpath(`//*[@data-testid="notice"]//p[starts-with(., "${name}")]`));
    await takeLittle(async (path, name) => {
      await room.giveFile(path, 'A picture to look at through the rig');
      await room.expectSoon(
        async () => (await isShown()) || (await isRefused(name)),
        (isAnswered) => isAnswered,
        `${name} was neither shown nor refused`,
      );
      if (await isShown()) await room.menu('The stage shows my picture', 'Plain light');
    });
  });
});
