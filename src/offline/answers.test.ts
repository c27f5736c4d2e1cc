import { describe, expect, it } from 'vitest';
import {
  answer,
  cacheName,
  forget,
  isOwn,
  keep,
  makeWhole,
  toldIn,
  type Kept,
  type Surroundings,
} from './answers';

const KEPT: Kept = {
  version: 'v2',
  records: 8,
  builtAt: 2000,
  ownFile: '/_next/static/a.js',
  pages: ['/bench', '/kit'],
  files: ['/_next/static/a.js', '/icon.svg'],
  first: '/bench',
};
const ORIGIN = 'http://127.0.0.1:4270';

/** A cache storage in memory, by the names things are put under. */
function cachesOf() {
  const all = new Map<string, Map<string, Response>>();
  const keyOf = (key: RequestInfo | URL): string =>
    typeof key === 'string' ? key : key instanceof URL ? key.href : key.url;
  const open = (name: string) => {
    const held = all.get(name) ?? new Map<string, Response>();
    all.set(name, held);
    return Promise.resolve({
      put: (key: RequestInfo | URL, value: Response) => {
        held.set(keyOf(key), value);
        return Promise.resolve();
      },
      match: (key: RequestInfo | URL) => Promise.resolve(held.get(keyOf(key))?.clone()),
      keys: () => Promise.resolve([...held.keys()].map((key) => new Request(new URL(key, ORIGIN)))),
    } as Partial<Cache> as Cache);
  };
  const caches = {
    open,
    delete: (name: string) => Promise.resolve(all.delete(name)),
    keys: () => Promise.resolve([...all.keys()]),
    match: (key: RequestInfo | URL) => {
      for (const held of all.values()) {
        const hit = held.get(keyOf(key));
        if (hit) return Promise.resolve(hit.clone());
      }
      return Promise.resolve(undefined);
    },
    has: (name: string) => Promise.resolve(all.has(name)),
  } as CacheStorage;
  return { all, caches };
}

interface World {
  around: Surroundings;
  all: Map<string, Map<string, Response>>;
  asked: string[];
  setOnline: (on: boolean) => void;
}

function world(missing: readonly string[] = []): World {
  const { all, caches } = cachesOf();
  const asked: string[] = [];
  let online = true;
  const fetch = ((path: RequestInfo | URL, init?: RequestInit) => {
    const name = path instanceof Request ? new URL(path.url).pathname : String(path);
    asked.push(name);
    if (!online) return Promise.reject(new TypeError('no network'));
    const isData = new Headers(init?.headers).get('RSC') === '1';
    const status = missing.includes(name) ? 404 : 200;
    return Promise.resolve(new Response(`${isData ? 'data' : 'body'} of ${name}`, { status }));
  }) as typeof globalThis.fetch;
  return {
    around: { origin: ORIGIN, caches, fetch },
    all,
    asked,
    setOnline: (on) => {
      online = on;
    },
  };
}

const request = (path: string, headers: HeadersInit = {}, mode = 'cors'): Request =>
  Object.defineProperty(new Request(ORIGIN + path, { headers }), 'mode', { value: mode });
const bodyOf = async (path: string, w: World, headers: HeadersInit = {}, mode = 'cors') =>
  (await answer(request(path, headers, mode), KEPT, w.around)).text();

describe('keeping the program for working offline', () => {
  it('puts every page, its data and every file into the cache of its version', async () => {
    const w = world();
    await keep(KEPT, w.around);
    expect([...(w.all.get(cacheName(KEPT))?.keys() ?? [])].toSorted()).toEqual(
      [
        '/bench',
        '/bench?data-of-the-page',
        '/kit',
        '/kit?data-of-the-page',
        '/_next/static/a.js',
        '/icon.svg',
        '/kept-version',
      ].toSorted(),
    );
  });

  it('keeps nothing where a single file is missing, so that the version before stays whole', async () => {
    const w = world(['/icon.svg']);
    await expect(keep(KEPT, w.around)).rejects.toThrow('/icon.svg cannot be kept: 404');
    expect(w.all.has(cacheName(KEPT))).toBe(false);
  });

  it('tells which version it is, to a page that asks', async () => {
    const w = world();
    await keep(KEPT, w.around);
    w.setOnline(false);
    expect(JSON.parse(await bodyOf('/kept-version', w))).toEqual({ records: 8, builtAt: 2000 });
  });

  it('keeps no version that could not open what a later one here has stored', async () => {
    const w = world();
    await keep(KEPT, w.around);
    const earlier = { ...KEPT, version: 'v1', builtAt: 1000 };
    await expect(keep({ ...earlier, records: 7 }, w.around)).rejects.toThrow('a later version');
    expect([...w.all.keys()]).toEqual(['wandering-halo-v2']);
    // One built earlier that reads the same records may come, and says so.
    await keep(earlier, w.around);
    expect(await toldIn(await w.around.caches.open('wandering-halo-v1'))).toEqual({
      records: 8,
      builtAt: 1000,
    });
    // Versions of before told nothing of themselves.
    for (const cache of w.all.values()) cache.delete('/kept-version');
    await keep({ ...KEPT, version: 'v0', records: 7 }, w.around);
    expect(w.all.has('wandering-halo-v0')).toBe(true);
  });

  it('takes nothing again of a version that is whole here, for it may be at work', async () => {
    const w = world();
    await keep(KEPT, w.around);
    w.asked.length = 0;
    await keep(KEPT, w.around);
    expect(w.asked).toEqual([]);
  });

  it('takes again what was lost, from a server of the same build alone', async () => {
    const w = world();
    await keep(KEPT, w.around);
    const cache = w.all.get('wandering-halo-v2')!;
    for (const key of ['/kit', '/kit?data-of-the-page', '/icon.svg']) cache.delete(key);
    w.setOnline(false);
    await expect(makeWhole(KEPT, w.around)).rejects.toThrow('no network');
    w.setOnline(true);
    const other = world(['/_next/static/a.js']);
    await makeWhole(KEPT, { ...w.around, fetch: other.around.fetch });
    expect(cache.has('/kit')).toBe(false);
    w.asked.length = 0;
    await makeWhole(KEPT, w.around);
    expect(w.asked.toSorted()).toEqual(['/_next/static/a.js', '/icon.svg', '/kit', '/kit?_rsc']);
    w.setOnline(false);
    expect(await bodyOf('/kit', w, {}, 'navigate')).toBe('body of /kit');
    w.asked.length = 0;
    await makeWhole(KEPT, w.around);
    expect(w.asked).toEqual([]);
  });

  it('answers pages with any query, their data and files without a network', async () => {
    const w = world();
    await keep(KEPT, w.around);
    w.setOnline(false);
    expect(await bodyOf('/kit?rig=a&focal=20', w, {}, 'navigate')).toBe('body of /kit');
    expect(await bodyOf('/kit?_rsc=abc', w, { RSC: '1' })).toBe('data of /kit?_rsc');
    expect(await bodyOf('/_next/static/a.js', w)).toBe('body of /_next/static/a.js');
    const home = await answer(request('/', {}, 'navigate'), KEPT, w.around);
    expect([home.status, home.headers.get('location')]).toEqual([307, `${ORIGIN}/bench`]);
    expect((await answer(request('/else', {}, 'navigate'), KEPT, w.around)).status).toBe(504);
  });

  it('answers its own version although the server has another by now', async () => {
    const w = world();
    await keep(KEPT, w.around);
    w.asked.length = 0;
    await bodyOf('/bench', w, {}, 'navigate');
    expect(w.asked).toEqual([]);
  });

  it('says nothing to what is asked for ahead of time, and leaves what is not its own alone', async () => {
    const w = world();
    await keep(KEPT, w.around);
    const ahead = { RSC: '1', 'Next-Router-Segment-Prefetch': '/_tree' };
    expect((await answer(request('/kit', ahead), KEPT, w.around)).status).toBe(204);
    expect(isOwn(request('/api/evaluate'), w.around)).toBe(false);
    expect(isOwn(new Request('https://example.org/bench'), w.around)).toBe(false);
    expect(isOwn(new Request(`${ORIGIN}/bench`, { method: 'POST' }), w.around)).toBe(false);
    expect(isOwn(request('/bench'), w.around)).toBe(true);
  });

  it('keeps the version before for tabs that still run it, and lets go of older ones and no one else’s', async () => {
    const w = world();
    for (const version of ['v0', 'v1'])
      await keep({ ...KEPT, version, files: ['/old.js'] }, w.around);
    await w.around.caches.open('somebody-else');
    await keep(KEPT, w.around);
    await forget(KEPT, w.around);
    expect([...w.all.keys()].toSorted()).toEqual([
      'somebody-else',
      'wandering-halo-v1',
      'wandering-halo-v2',
    ]);
    w.setOnline(false);
    expect(await bodyOf('/old.js', w)).toBe('body of /old.js');
  });

  it('makes new answers of those it kept, which do not bring their old address along', async () => {
    const w = world();
    await keep(KEPT, w.around);
    const found = await answer(request('/icon.svg'), KEPT, w.around);
    expect(found.url).toBe('');
    expect(found.status).toBe(200);
  });
});
