'use client';
import { createContext, useEffect, useMemo, useState } from 'react';

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

/** Forgets all that is kept under a key and under those that begin with it. */
export function forgetTyped(key: string): void {
  try {
    for (const kept of Object.keys(sessionStorage))
      if (kept.startsWith(PREFIX + key)) sessionStorage.removeItem(kept);
  } catch {
    // Nothing was kept.
  }
}

let isHeld = false;

/** While held, what is typed stays kept though its form goes: the room is taken away, and nobody left it. */
export function holdTyped(held: boolean): void {
  isHeld = held;
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

/** The form a field stands in: what is typed in its fields is kept under its name. Null keeps nothing. */
export const FormName = createContext<string | null>(null);

/** The same for a form as a whole: a reload leaves it and what its fields keep; with the form itself it is gone. */
export function useTypedInForm(form: string): ReturnType<typeof useTyped> {
  useEffect(
    () => () => {
      if (!isHeld) forgetTyped(form);
    },
    [form],
  );
  return useTyped(form);
}

/** What a form was told so far. A reload leaves it; with the form itself it is gone. */
export function useTold<T extends object>(
  form: string,
  read: (text: string | null) => T,
): [T, (change: Partial<T>) => void] {
  const [text, setText] = useTypedInForm(form);
  const told = useMemo(() => read(text), [read, text]);
  return [told, (change) => setText(JSON.stringify({ ...told, ...change }))];
}
