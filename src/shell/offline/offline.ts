'use client';
/** Whether the program is kept whole for working offline, and whether a newer version waits. */
import { useSyncExternalStore } from 'react';
import { CACHE_PREFIX, toldIn, VERSION_KEY, type VersionTold } from '@/offline/answers';
import { MAKE_WHOLE, TAKE_OVER } from '@/offline/messages';

type Offline =
  /** Not asked yet, or this is the program as one works on it. */
  | 'not asked'
  /** The browser keeps nothing for this address. */
  | 'cannot'
  | 'being kept'
  | 'kept'
  | 'failed';

interface State {
  offline: Offline;
  /** Another version is here and waits until it is let in: a newer one, or one built earlier than this. */
  waits: 'newer' | 'earlier' | null;
  /** Another tab let a newer version in: this one still runs the one before. */
  isOld: boolean;
}

let state: State = { offline: 'not asked', waits: null, isOld: false };
const listeners = new Set<() => void>();

function set(change: Partial<State>): void {
  state = { ...state, ...change };
  listeners.forEach((listen) => listen());
}

let waiting: ServiceWorker | null = null;
let isTakingOver = false;

/** How the version that came last stands to the one that is at work; one that does not tell counts as newer. */
async function waitingIs(): Promise<'newer' | 'earlier'> {
  try {
    const names = (await caches.keys()).filter((name) => name.startsWith(CACHE_PREFIX));
    const came = await toldIn(await caches.open(names.at(-1) ?? ''));
    // Answered by the version at work, of itself.
    const own = (await (await fetch(VERSION_KEY)).json()) as VersionTold;
    return came && came.builtAt < own.builtAt ? 'earlier' : 'newer';
  } catch {
    return 'newer';
  }
}

/** Follows a version from its coming until it waits or stands. */
function follow(worker: ServiceWorker): void {
  const look = () => {
    if (worker.state === 'installed' && navigator.serviceWorker.controller) {
      waiting = worker;
      set({ offline: 'kept' });
      void waitingIs().then((waits) => set({ waits }));
    } else if (worker.state === 'activated') set({ offline: 'kept' });
    else if (worker.state === 'redundant' && state.offline === 'being kept')
      set({ offline: 'failed' });
  };
  worker.addEventListener('statechange', look);
  look();
}

/** How often a page that stays open asks for a newer version, ms. */
const ASK_AGAIN_MS = 3_600_000;

async function register(): Promise<void> {
  const hadOne = navigator.serviceWorker.controller !== null;
  set({ offline: hadOne ? 'kept' : 'being kept' });
  navigator.serviceWorker.addEventListener('controllerchange', () => {
    // The first one comes unasked; a later one was let in, here or in another tab.
    if (isTakingOver) window.location.reload();
    else if (hadOne) set({ isOld: true, waits: null });
  });
  try {
    const registration = await navigator.serviceWorker.register('/sw.js', {
      updateViaCache: 'none',
    });
    registration.addEventListener('updatefound', () => {
      if (registration.installing) follow(registration.installing);
    });
    registration.active?.postMessage(MAKE_WHOLE);
    for (const worker of [registration.installing, registration.waiting, registration.active])
      if (worker) follow(worker);
    // Without a network there is no newer version to be had.
    setInterval(() => void registration.update().catch(() => undefined), ASK_AGAIN_MS);
  } catch {
    set({ offline: hadOne ? 'kept' : 'failed' });
  }
}

/** Begins to keep the program, once; only a built program at a safe address is kept. */
export function keepOffline(): void {
  if (state.offline !== 'not asked' || process.env.NODE_ENV !== 'production') return;
  if ('serviceWorker' in navigator && window.isSecureContext) void register();
  else set({ offline: 'cannot' });
}

/** Lets the newer version in; the page is loaded anew with it. */
export function takeNewVersion(): void {
  if (!waiting) return;
  isTakingOver = true;
  waiting.postMessage(TAKE_OVER);
}

const subscribe = (listen: () => void) => {
  listeners.add(listen);
  return () => listeners.delete(listen);
};
const now = (): State => state;

export const useOffline = (): State => useSyncExternalStore(subscribe, now, now);

/** How it stands with working offline, in a sentence. */
export const OFFLINE_WORDS: Readonly<Record<Offline, string>> = {
  'not asked': '',
  cannot:
    'At this address the browser keeps no program for working offline: it does so at this machine’s own address and over https alone.',
  'being kept': 'The program is being kept for working offline.',
  kept: 'Everything works without a network: the program is kept in this browser.',
  failed:
    'The program could not be kept for working offline, perhaps for want of room; it is tried again at the next visit.',
};
