'use client';
import { useState } from 'react';
import styled from 'styled-components';
import { newId } from '@/core/kit';
import type { HaloSample, Lens } from '@/core/kit/records';
import type { Rig } from '@/core/rig';
import { LOOKS, seenSample, type Look } from '@/core/rig/judged';
import { problemText } from '@/core/words';
import { apertureWords, focalWords } from '@/gear/rings';
import { ActingButton, TextButton } from '@/ui/controls/Buttons';
import { today } from '@/ui/today';

const Quiet = styled.p`
  padding: 4px 0;
  color: var(--muted);
`;

const Looks = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
`;

interface SeenByEyeProps {
  rig: Rig;
  onSeen: (lens: Lens, sample: HaloSample) => void;
}

/** A place to say what the live picture of the real camera shows: at a rental counter there is no wall. */
export function SeenByEye({ rig, onSeen }: SeenByEyeProps) {
  const [isOpen, setOpen] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  if (!isOpen)
    return <ActingButton onPress={() => setOpen(true)}>Say what a camera shows you…</ActingButton>;
  const say = (look: Look) => {
    const sample = seenSample(rig, { look, id: newId(), date: today() });
    setTrouble(sample.ok ? null : problemText(sample.problems));
    if (!sample.ok) return;
    onSeen(rig.lens, sample.value);
    setOpen(false);
  };
  const { focalMm, fNumber } = rig.settings;
  return (
    <section aria-label="What a camera shows you">
      <Quiet>
        The same rig in your hand, its stabiliser off: turn it to where the darkest corner just
        changes, and the rings here to the same. At {focalWords(focalMm)} and{' '}
        {apertureWords(fNumber)} it is
      </Quiet>
      <Looks>
        {LOOKS.map((look) => (
          <ActingButton key={look} onPress={() => say(look)}>
            {look}
          </ActingButton>
        ))}
        <TextButton onPress={() => setOpen(false)}>Leave it</TextButton>
      </Looks>
      {trouble && <Quiet role="alert">{trouble}</Quiet>}
    </section>
  );
}
