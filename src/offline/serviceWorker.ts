/**
 * The service worker: keeps the program whole for working offline. It never takes over by itself while an earlier
 * version is at work: the new one waits until somebody says so.
 */
import { answer, forget, isOwn, keep, type Kept, makeWhole, type Surroundings } from './answers';
import { MAKE_WHOLE, TAKE_OVER } from './messages';

/** What is kept; written in when the program is built. */
declare const KEPT: Kept;

interface Extendable extends Event {
  waitUntil: (work: Promise<unknown>) => void;
}
interface Fetching extends Extendable {
  request: Request;
  respondWith: (answer: Promise<Response>) => void;
}
interface WorkerScope {
  location: Location;
  caches: CacheStorage;
  fetch: typeof fetch;
  clients: { claim: () => Promise<void> };
  skipWaiting: () => Promise<void>;
  addEventListener: ((name: 'install' | 'activate', listen: (event: Extendable) => void) => void) &
    ((name: 'message', listen: (event: Extendable & MessageEvent) => void) => void) &
    ((name: 'fetch', listen: (event: Fetching) => void) => void);
}

const scope = self as unknown as WorkerScope;
const around: Surroundings = {
  origin: scope.location.origin,
  caches: scope.caches,
  fetch: scope.fetch.bind(scope),
};

scope.addEventListener('install', (event) => event.waitUntil(keep(KEPT, around)));
scope.addEventListener('activate', (event) =>
  event.waitUntil(forget(KEPT, around).then(() => scope.clients.claim())),
);
scope.addEventListener('message', (event) => {
  if (event.data === TAKE_OVER) void scope.skipWaiting();
  // Without a network it is tried again at the next visit.
  if (event.data === MAKE_WHOLE) event.waitUntil(makeWhole(KEPT, around).catch(() => undefined));
});
scope.addEventListener('fetch', (event) => {
  if (isOwn(event.request, around)) event.respondWith(answer(event.request, KEPT, around));
});
