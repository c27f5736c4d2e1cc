'use client';
import { useMemo, useState } from 'react';
import type { RigRecord } from '@/core/kit/records';
import type { ComparedQuestion } from '@/core/rig/readings';

/** What is compared, and by what. */
export interface Comparison {
  /** Rigs side by side, the one in hand always among them. */
  ids: readonly string[];
  question: ComparedQuestion;
  ask: (question: ComparedQuestion) => void;
  /** Lets the rigs stand as they are, whichever comes into the hand. */
  keep: () => void;
  add: (id: string) => void;
  leaveOut: (id: string) => void;
}

/** So many stand side by side until somebody picks. */
const BEGIN_WITH = 3;

/** Which rigs are compared: until somebody picks, the one in hand and the first ones besides. */
export function useComparison(rigs: readonly RigRecord[], inHand: string | null): Comparison {
  const [picked, setPicked] = useState<readonly string[] | null>(null);
  const [question, ask] = useState<ComparedQuestion>('coverage');
  const ids = useMemo(() => {
    const there = new Set(rigs.map((r) => r.id));
    const begin = () => {
      const besides = rigs.filter((r) => r.id !== inHand).map((r) => r.id);
      return [...(inHand === null ? [] : [inHand]), ...besides].slice(0, BEGIN_WITH);
    };
    const chosen = (picked ?? begin()).filter((id) => there.has(id));
    return inHand === null || chosen.includes(inHand) ? chosen : [inHand, ...chosen];
  }, [rigs, inHand, picked]);
  return useMemo(
    () => ({
      ids,
      question,
      ask,
      keep: () => setPicked(ids),
      add: (id) => setPicked([...ids, id]),
      leaveOut: (id) => setPicked(ids.filter((other) => other !== id)),
    }),
    [ids, question],
  );
}
