'use client';
import { useMemo } from 'react';
import styled from 'styled-components';
import type { RigSettings } from '@/core/kit/records';
import type { Rig } from '@/core/rig';
import { Ring } from '@/ui/ring/Ring';
import { ringRibbon, ringSpecs } from './rings';

const Rings = styled.section`
  display: grid;
  gap: 3px;
  padding: 8px 14px 10px;
  border-top: 1px solid var(--line);
  background: var(--ground);
`;

interface RigRingsProps {
  rig: Rig;
  actions: {
    /** Shows a setting without keeping it. */
    turn: (change: Partial<RigSettings>) => void;
    /** Keeps a setting as one step to undo. */
    settle: (label: string, change: Partial<RigSettings>) => void;
  };
}

/** Focal length, aperture and focus as barrel scales. */
export function RigRings({ rig, actions }: RigRingsProps) {
  const rings = useMemo(
    () => ringSpecs(rig).map((spec) => ({ spec, stretches: ringRibbon(rig, spec) })),
    [rig],
  );
  return (
    <Rings aria-label="Rings">
      {rings.map(({ spec, stretches }) => (
        <Ring
          key={spec.name}
          name={spec.name}
          scale={spec.scale}
          value={spec.value}
          words={spec.words}
          read={spec.read}
          range={spec.range}
          ribbon={stretches}
          held={spec.held}
          onTurn={(value) => actions.turn(spec.change(value))}
          onSettle={(value) => actions.settle(spec.step, spec.change(value))}
        />
      ))}
    </Rings>
  );
}
