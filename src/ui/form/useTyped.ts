'use client';
import { useState } from 'react';

const PREFIX = 'wandering-halo-typed ';

function read(key: string): string | null {
  try {
    return sessionStorage.getItem(PREFIX + key);
  } catch {
    // Without storage a reload begins anew.
    return null;
  }
}

function keep(key: string, text: string | null): void {
  try {
    if (text === null) sessionStorage.removeItem(PREFIX + key);
    else sessionStorage.setItem(PREFIX + key, text);
  } catch {
    // The same.
  }
}

/** Text that is typed and not taken yet, null where there is none; under a key it outlasts a reload. */
export function useTyped(keptAs?: string): [string | null, (text: string | null) => void] {
  const [typed, setTyped] = useState(() => (keptAs === undefined ? null : read(keptAs)));
  const type = (text: string | null) => {
    setTyped(text);
    if (keptAs !== undefined) keep(keptAs, text);
  };
  return [typed, type];
}
