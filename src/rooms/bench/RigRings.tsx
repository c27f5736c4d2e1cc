'use client';
import { useMemo } from 'react';
import styled from 'styled-components';
import type { Rig } from '@/core/rig/rig';
import { Ring } from '@/ui/ring/Ring';
import { ringRibbon, ringSpecs } from './rings';
import type { BenchActions } from './useBench';

const Rings = styled.section`
  display: grid;
  gap: 3px;
  padding: 8px 14px 10px;
  border-top: 1px solid var(--line);
  background: var(--ground);
`;

/** Focal length, aperture and focus as barrel scales. */
export function RigRings({ rig, actions }: { rig: Rig; actions: BenchActions }) {
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
