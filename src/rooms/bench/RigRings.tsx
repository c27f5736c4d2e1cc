'use client';
import { useMemo } from 'react';
import styled from 'styled-components';
import type { Rig } from '@/core/rig/rig';
import { Ring } from '@/ui/ring/Ring';
import { ringRibbon, ringSpecs } from './rings';
import type { Bench } from './useBench';

const Rings = styled.section`
  display: grid;
  gap: 3px;
  padding: 8px 14px 10px;
  border-top: 1px solid var(--line);
  background: var(--ground);
`;

/** Focal length, aperture and focus as barrel scales. */
export function RigRings({ rig, bench }: { rig: Rig; bench: Bench }) {
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
          onTurn={(value) => bench.turn(spec.change(value))}
          onSettle={(value) => bench.settle(spec.step, spec.change(value))}
        />
      ))}
    </Rings>
  );
}
