/** A workspace with a damaged record opens in every room; what is damaged can be saved and taken out. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { By } from 'selenium-webdriver';
import { ROOM_IDS, ROOMS } from '@/shell/rooms';
import { BenchPage } from './bench';

let bench: BenchPage;

beforeAll(async () => {
  bench = await BenchPage.opened();
  await bench.open();
  await bench.verdictWord();
});
afterAll(() => bench.driver.quit());

/** Stores a record past all checks, under `id` of a table. */
const putRaw = (table: string, record: object) =>
  bench.driver.executeAsyncScript(
    `const [table, record, done] = arguments;
     indexedDB.open('wandering-halo').onsuccess = ({ target: { result: db } }) => {
       const put = db.transaction(table, 'readwrite').objectStore(table).put(record);
       put.onsuccess = () => { db.close(); done(); };
     };`,
    table,
    record,
  );
const strip = async () => {
  const found = await bench.driver.findElements(
    By.xpath('//*[@role="status"][contains(., "set aside")]'),
  );
  return found[0] ? found[0].getText() : '';
};

describe('a damaged record', () => {
  it('is told in every room, and the rest of each works', async () => {
    await putRaw('bodies', { id: 'broken', name: 'Spare body', modes: 'none' });
    for (const room of ROOM_IDS) {
      await bench.open(ROOMS[room].path);
      await bench.expectSoon(
        strip,
        (said) => said.includes('1 record is damaged and set aside: body “Spare body”.'),
        `${room} did not tell it`,
      );
      const text = await (await bench.find('body')).getText();
      expect(text).not.toMatch(/could not be drawn|went wrong|could not load/);
    }
    await bench.expectQuiet();
  });

  it('is saved apart, taken out, and comes back by undo', async () => {
    await bench.open('/kit');
    await bench.press('Save it apart');
    const { text } = await bench.download('damaged.json');
    expect(JSON.parse(text)).toEqual([
      {
        table: 'bodies',
        id: 'broken',
        record: { id: 'broken', name: 'Spare body', modes: 'none' },
      },
    ]);
    await bench.press('Take it out');
    await bench.expectSoon(strip, (said) => said === '', 'it was not taken out');
    await bench.press('Undo: Take out body “Spare body”');
    await bench.expectSoon(strip, (said) => said.includes('Spare body'), 'it did not come back');
  });
});

describe('a workspace that does not open', () => {
  it('can be saved as far as it can be read', async () => {
    await bench.open('/kit');
    await bench.driver.executeAsyncScript(
      `const done = arguments[0];
       const newer = indexedDB.open('wandering-halo', 99990);
       newer.onsuccess = () => { newer.result.close(); done(); };`,
    );
    await bench.driver.navigate().refresh();
    await bench.press('Save what can be read to a file');
    const { text } = await bench.download('readable.json');
    const file = JSON.parse(text) as { version: number; lenses: unknown[]; bodies: object[] };
    expect(file.version).toBe(9999);
    expect(file.lenses.length).toBeGreaterThan(3);
    expect(file.bodies).toContainEqual({ id: 'broken', name: 'Spare body', modes: 'none' });
  });
});
