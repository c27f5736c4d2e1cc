'use client';
import { useState } from 'react';
import styled from 'styled-components';
import { byRegister, ladderTo, type Rung } from '@/core/kit';
import type { Workspace } from '@/core/kit/records';
import { ActingButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { engraved, PHONE } from '@/ui/theme/type';
import { mm } from '@/core/words';

const Place = styled.section`
  min-width: 0;
  overflow-y: auto;
  padding: 14px 18px 24px;
  border-left: 1px solid var(--line);
  h2 {
    font-size: 18px;
    font-weight: 650;
  }
  > p {
    color: var(--muted);
    max-width: 640px;
    margin: 4px 0 10px;
  }
  @media ${PHONE} {
    border: 0;
  }
`;

const Body = styled.div`
  max-width: 420px;
  margin-bottom: 14px;
`;

const Rungs = styled.ol`
  display: grid;
  gap: 2px;
`;

const RungButton = styled.button`
  display: grid;
  grid-template-columns: minmax(120px, 220px) minmax(0, 1fr) minmax(86px, 190px);
  gap: 12px;
  align-items: center;
  width: 100%;
  padding: 6px 4px;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
  &:hover,
  &:focus-visible {
    background: var(--raised);
  }
  small {
    display: block;
    color: var(--muted);
    font-size: 12px;
  }
  @media ${PHONE} {
    grid-template-columns: 108px minmax(0, 1fr) 88px;
    gap: 8px;
  }
`;

const Track = styled.span`
  position: relative;
  display: block;
  height: 20px;
  border-left: 3px solid var(--amber);
`;

const Span = styled.span<{ $reach: Rung['reach'] }>`
  position: absolute;
  top: 3px;
  bottom: 3px;
  border: 1px solid var(--muted);
  border-left: 0;
  background: ${(p) => (p.$reach === 'plain adapter' ? 'color-mix(in srgb, var(--amber) 30%, transparent)' : 'none')};
  border-style: ${(p) => (p.$reach === 'cannot' ? 'dashed' : 'solid')};
`;

const Figure = styled.span`
  ${engraved}
`;

const countWords = (lenses: number, bodies: number): string =>
  [
    lenses > 0 ? `${lenses} ${lenses === 1 ? 'lens' : 'lenses'}` : '',
    bodies > 0 ? `${bodies} ${bodies === 1 ? 'body' : 'bodies'}` : '',
  ]
    .filter(Boolean)
    .join(', ') || 'nothing in the kit';

const REACH_WORDS: Record<Rung['reach'], (rung: Rung) => string> = {
  'the same mount': () => 'goes straight on',
  'plain adapter': ({ thicknessMm }) => `adapter ${mm(thicknessMm, 2)}`,
  cannot: ({ thicknessMm }) =>
    thicknessMm >= 0
      ? `only ${mm(thicknessMm, 2)}: no room`
      : `${mm(Math.abs(thicknessMm), 2)} too short`,
};

interface RungRowProps {
  rung: Rung;
  bodyMm: number;
  longestMm: number;
  /** What of the kit has this mount. */
  gear: string;
  onPress: () => void;
}

function RungRow({ rung, bodyMm, longestMm, gear, onPress }: RungRowProps) {
  const { mount, reach, thicknessMm } = rung;
  const adapter = reach === 'plain adapter';
  const share = (mm: number) => `${((mm / longestMm) * 100).toFixed(2)}%`;
  return (
    <RungButton type="button" onClick={onPress}>
      <span>
        {mount.name}
        <small>{gear}</small>
      </span>
      <Track aria-hidden="true">
        <Span
          $reach={adapter ? 'the same mount' : reach}
          style={{ left: 0, width: share(adapter ? bodyMm : mount.registerMm) }}
        />
        {adapter && (
          <Span $reach={reach} style={{ left: share(bodyMm), width: share(thicknessMm) }} />
        )}
      </Track>
      <span>
        <Figure>{mm(mount.registerMm, 2)}</Figure>
        <small>{REACH_WORDS[reach](rung)}</small>
      </span>
    </RungButton>
  );
}

interface LadderProps {
  workspace: Workspace;
  /** Shows the kit with these mounts only. */
  onMounts: (mountIds: readonly string[]) => void;
}

/** Mounts by register, to scale: which lens reaches which body, and how thick the adapter is. */
export function Ladder({ workspace, onMounts }: LadderProps) {
  const { mounts, lenses, bodies } = workspace;
  const [chosen, setChosen] = useState<string | null>(null);
  const body = mounts.find((m) => m.id === (chosen ?? bodies[0]?.mountId)) ?? byRegister(mounts)[0];
  if (!body)
    return (
      <Place aria-label="Register ladder">
        <h2>Register ladder</h2>
        <p>There are no mounts in this workspace yet.</p>
      </Place>
    );
  const rungs = ladderTo(body, mounts);
  const longest = Math.max(...mounts.map((m) => m.registerMm)) * 1.04;
  const reaching = rungs.filter((r) => r.reach !== 'cannot').map((r) => r.mount.id);
  return (
    <Place aria-label="Register ladder">
      <h2>Register ladder</h2>
      <p>
        Each bar runs from the sensor to the flange, to scale. A lens reaches a body with a plain
        adapter where its own register is longer; the amber piece is the adapter. Press a mount to
        see its lenses.
      </p>
      <Body>
        <Choice
          label="To a body with"
          stacked
          groups={[
            {
              title: 'Mount of the body',
              options: byRegister(mounts).map((m) => ({
                id: m.id,
                label: m.name,
                note: countWords(0, bodies.filter((b) => b.mountId === m.id).length),
              })),
            },
          ]}
          chosen={body.id}
          onChoose={setChosen}
        />
      </Body>
      <Rungs>
        {rungs.map((rung) => {
          return (
            <li key={rung.mount.id}>
              <RungRow
                rung={rung}
                bodyMm={body.registerMm}
                longestMm={longest}
                gear={countWords(
                  lenses.filter((l) => l.mountId === rung.mount.id).length,
                  bodies.filter((b) => b.mountId === rung.mount.id).length,
                )}
                onPress={() => onMounts([rung.mount.id])}
              />
            </li>
          );
        })}
      </Rungs>
      <p>
        <ActingButton onPress={() => onMounts(reaching)}>
          Show every lens that reaches it
        </ActingButton>
      </p>
    </Place>
  );
}
