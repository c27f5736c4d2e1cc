/**
 * What the service worker answers, apart from the browser's own machinery so that it can be tested. Everything of
 * one version of the program lies in one cache, put there whole or not at all, and is answered from there whether
 * or not there is a network: so pages, code and workers are always of the same version.
 */

/** Which version it is, told beside what is kept of it. */
export interface VersionTold {
  /** Version of the records it reads: an earlier one cannot open what a later one has stored. */
  records: number;
  /** When it was built, ms. */
  builtAt: number;
}

/** What is kept of one version. */
export interface Kept extends VersionTold {
  /** Of the files; another build is another version. */
  version: string;
  /** A file that only this build has: a server that answers it still serves this build. */
  ownFile: string;
  /** Paths of the rooms and of every other page. */
  pages: readonly string[];
  /** Paths of scripts, fonts, schemas and pictures. */
  files: readonly string[];
  /** Where a visit without a path begins. */
  first: string;
}

/** Caches of the program's versions are named so. */
export const CACHE_PREFIX = 'wandering-halo-';
/** Where a version's cache tells which it is. */
export const VERSION_KEY = '/kept-version';
/** The cache before the newest stays, for tabs that still run it. */
const CACHES_KEPT = 2;

export const cacheName = ({ version }: Kept): string => `${CACHE_PREFIX}${version}`;

/** The name under which a page's data for changing rooms is kept beside the page itself. */
const dataKey = (path: string): string => `${path}?data-of-the-page`;

/** How the framework asks for the data of a page, and for a part of it ahead of time. */
const DATA_HEADER = 'RSC';
const AHEAD_HEADERS = ['Next-Router-Segment-Prefetch', 'Next-Router-Prefetch'] as const;

export interface Surroundings {
  origin: string;
  caches: CacheStorage;
  fetch: typeof fetch;
}

/** Answers replayed as they are lose what stands behind the "#" of a worker's address; new ones do not. */
const fresh = (hit: Response): Response =>
  new Response(hit.body, { status: hit.status, statusText: hit.statusText, headers: hit.headers });

/** Something as the server gives it today. A page may not lead elsewhere; its data may be asked for by another name. */
async function taken(path: string, isData: boolean, { fetch }: Surroundings): Promise<Response> {
  const [name, headers] = isData ? [`${path}?_rsc`, { [DATA_HEADER]: '1' }] : [path, {}];
  const answer = await fetch(name, { headers, cache: 'no-store', credentials: 'same-origin' });
  if (!answer.ok || (answer.redirected && !isData))
    throw new Error(`${path} cannot be kept: ${answer.status}`);
  return fresh(answer);
}

/** What a cache tells of its version; null where it tells nothing, as those of before. */
export async function toldIn(cache: Pick<Cache, 'match'>): Promise<VersionTold | null> {
  const told = await cache.match(VERSION_KEY);
  return told ? ((await told.json()) as VersionTold) : null;
}

/** Whether another version is kept here whose records this one could not open. */
async function isTooOld(kept: Kept, { caches }: Surroundings): Promise<boolean> {
  const own = cacheName(kept);
  for (const name of await caches.keys()) {
    if (name === own || !name.startsWith(CACHE_PREFIX)) continue;
    const told = await toldIn(await caches.open(name));
    if (told && told.records > kept.records) return true;
  }
  return false;
}

/** What there is to keep beside the files: each page and its data. */
const entriesOf = ({ pages, files }: Kept): { key: string; path: string; isData: boolean }[] => [
  ...pages.flatMap((path) => [
    { key: path, path, isData: false },
    { key: dataKey(path), path, isData: true },
  ]),
  ...files.map((path) => ({ key: path, path, isData: false })),
];

/** Takes entries into a cache, a few at a time: a phone on a slow network has other things to do as well. */
async function takeInto(
  cache: Cache,
  entries: ReturnType<typeof entriesOf>,
  around: Surroundings,
): Promise<void> {
  for (let i = 0; i < entries.length; i += 6)
    await Promise.all(
      entries
        .slice(i, i + 6)
        .map(async ({ key, path, isData }) => cache.put(key, await taken(path, isData, around))),
    );
}

/**
 * Puts all of a version into its cache; fails, and leaves no cache, where any of it is missing. One too old for what a
 * later one has stored is not kept: the later one goes on from here.
 */
export async function keep(kept: Kept, around: Surroundings): Promise<void> {
  if (await isTooOld(kept, around)) throw new Error('a later version is kept here');
  const name = cacheName(kept);
  // This very build is here already, perhaps at work.
  if (await toldIn(await around.caches.open(name))) return;
  await around.caches.delete(name);
  const cache = await around.caches.open(name);
  try {
    await takeInto(cache, entriesOf(kept), around);
    const { records, builtAt } = kept;
    await cache.put(
      VERSION_KEY,
      new Response(JSON.stringify({ records, builtAt } satisfies VersionTold)),
    );
  } catch (error) {
    await around.caches.delete(name);
    throw error;
  }
}

/** Takes again what a version's cache has lost, as long as the server still serves this build. */
export async function makeWhole(kept: Kept, around: Surroundings): Promise<void> {
  const cache = await around.caches.open(cacheName(kept));
  const there = new Set((await cache.keys()).map(({ url }) => url));
  const lost = entriesOf(kept).filter(({ key }) => !there.has(new URL(key, around.origin).href));
  if (lost.length === 0) return;
  const own = await around.fetch(kept.ownFile, { cache: 'no-store' });
  if (own.ok) await takeInto(cache, lost, around);
}

/** Lets go of versions that nobody runs any more. */
export async function forget(kept: Kept, { caches }: Surroundings): Promise<void> {
  const own = (await caches.keys()).filter((name) => name.startsWith(CACHE_PREFIX));
  const others = own.filter((name) => name !== cacheName(kept));
  await Promise.all(others.slice(0, -(CACHES_KEPT - 1)).map((name) => caches.delete(name)));
}

/** Whether a request is the program's own to answer; all else goes its way. */
export function isOwn(request: Request, { origin }: Surroundings): boolean {
  const { pathname, origin: asked } = new URL(request.url);
  return request.method === 'GET' && asked === origin && !pathname.startsWith('/api/');
}

const notHere = (): Response =>
  new Response('This page is not kept for working offline.', {
    status: 504,
    headers: { 'content-type': 'text/plain; charset=utf-8' },
  });

/** From the cache of this version, else from any that is still here. */
async function cached(key: string, kept: Kept, { caches }: Surroundings): Promise<Response | null> {
  const own = await (await caches.open(cacheName(kept))).match(key);
  const hit = own ?? (await caches.match(key));
  return hit ? fresh(hit) : null;
}

/** The answer to a request of one's own. */
export async function answer(
  request: Request,
  kept: Kept,
  around: Surroundings,
): Promise<Response> {
  const { pathname } = new URL(request.url);
  const isData = request.headers.get(DATA_HEADER) === '1';
  // What is asked for ahead of time lies here anyway.
  if (isData && AHEAD_HEADERS.some((name) => request.headers.has(name)))
    return new Response(null, { status: 204 });
  if (request.mode === 'navigate' && pathname === '/')
    return Response.redirect(`${around.origin}${kept.first}`, 307);
  const hit = await cached(isData ? dataKey(pathname) : pathname, kept, around);
  if (hit) return hit;
  try {
    return await around.fetch(request);
  } catch {
    return notHere();
  }
}
