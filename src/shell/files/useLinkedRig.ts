'use client';
import { useEffect } from 'react';
import { holdsRig } from '@/core/exchange/links';
import { problemText } from '@/core/words';
import { useLatest } from '@/ui/useLatest';
import { guarded, type Tell } from '../tell';

const UNCHECKED =
  'This address is of an older kind that cannot tell whether a letter of it was changed: look whether its figures are right.';

/** A rig that an address holds, as a printed code does, is read like a file: what it would bring is shown first. */
export function useLinkedRig(read: (file: File, note?: string) => void, tell: Tell): void {
  const latest = useLatest({ read, tell });
  useEffect(() => {
    const look = () => {
      const { hash, pathname, search } = window.location;
      if (!holdsRig(hash)) return;
      window.history.replaceState(window.history.state, '', `${pathname}${search}`);
      guarded(latest.current.tell, async () => {
        // It weighs more than the Bench needs before there is such an address.
        const { isUncheckedRig, unpackRig } = await import('@/core/exchange/links');
        const rig = unpackRig(hash);
        if (!rig.ok) {
          latest.current.tell({ kind: 'trouble', text: problemText(rig.problems) });
          return;
        }
        const file = new File([JSON.stringify(rig.value)], rig.value.name || 'A rig');
        latest.current.read(file, isUncheckedRig(hash) ? UNCHECKED : '');
      });
    };
    look();
    window.addEventListener('hashchange', look);
    return () => window.removeEventListener('hashchange', look);
  }, [latest]);
}
