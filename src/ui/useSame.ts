'use client';
import { useState } from 'react';

/** The value, as the very object it was before for as long as it says the same. For small plain data. */
export function useSame<T>(value: T): T {
  const [held, setHeld] = useState(value);
  if (held === value || JSON.stringify(held) === JSON.stringify(value)) return held;
  setHeld(value);
  return value;
}
