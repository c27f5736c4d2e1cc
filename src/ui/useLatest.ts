'use client';
import { useLayoutEffect, useRef, type RefObject } from 'react';

/** A ref that holds what was last drawn with, so that a function can stay the same and still act on it. */
export function useLatest<T>(value: T): RefObject<T> {
  const latest = useRef(value);
  useLayoutEffect(() => {
    latest.current = value;
  });
  return latest;
}
