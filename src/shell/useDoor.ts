'use client';
import { useEffect, useState } from 'react';
import type { Door } from '@/workers/door';

/** A worker's door for as long as a screen stands; closed when it is left. */
export function useDoor<D>(open: () => Door<D>): Door<D> {
  const [door] = useState(open);
  useEffect(() => () => door.close(), [door]);
  return door;
}
