'use client';
import { useEffect } from 'react';
import { holdsRig } from '@/core/exchange/links';
import { problemText } from '@/core/words';
import { useLatest } from '@/ui/useLatest';
import { guarded, type Tell } from '../tell';

/** A rig that an address holds, as a printed code does, is read like a file: what it would bring is shown first. */
export function useLinkedRig(read: (file: File) => void, tell: Tell): void {
  const latest = useLatest({ read, tell });
  useEffect(() => {
    const look = () => {
      const { hash, pathname, search } = window.location;
      if (!holdsRig(hash)) return;
      window.history.replaceState(window.history.state, '', `${pathname}${search}`);
      guarded(latest.current.tell, async () => {
        // It weighs more than the Bench needs before there is such an address.
        const { unpackRig } = await import('@/core/exchange/links');
        const rig = unpackRig(hash);
        if (!rig.ok) {
          latest.current.tell({ kind: 'trouble', text: problemText(rig.problems) });
          return;
        }
        latest.current.read(new File([JSON.stringify(rig.value)], rig.value.name || 'A rig'));
      });
    };
    look();
    window.addEventListener('hashchange', look);
    return () => window.removeEventListener('hashchange', look);
  }, [latest]);
}
