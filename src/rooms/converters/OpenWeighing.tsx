'use client';
import { useCallback, useMemo, useState } from 'react';
import styled from 'styled-components';
import {
  cropOf,
  trainsFor,
  weigh,
  type ConverterColumn,
  verdictOfWeighing,
  glassOf,
} from '@/core/converters';
import { fullName, type Part } from '@/core/kit/records';
import { QuickPartDialog } from '@/gear/quick/QuickPartDialog';
import { RigRings } from '@/gear/RigRings';
import { apertureWords, focalWords, focusWords } from '@/gear/rings';
import { ROOMS } from '@/shell/rooms';
import type { OpenRigProps } from '@/shell/rig/RigRoom';
import { useShellKeys } from '@/shell/useShell';
import { ActingButton } from '@/ui/controls/Buttons';
import { RoomColumns, RoomLarge } from '@/ui/controls/roomLayout';
import { oneLine, PHONE } from '@/ui/theme/type';
import { RayDrawing } from './RayDrawing';
import { usePlay } from './usePlay';
import { VerdictPanel } from './VerdictPanel';
import { WeighTable } from './WeighTable';
import type { ConvertersInHand } from './useConverters';

const Top = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 14px;
  h1 {
    font-size: 17px;
    font-weight: 650;
  }
`;

const Facts = styled.p`
  ${oneLine}
  flex: 1;
  min-width: 0;
  color: var(--muted);
`;

/* On a phone the table is long: what it comes to stands before it. */
const Lead = styled.p`
  display: none;
  @media ${PHONE} {
    display: block;
    padding: 2px 0 4px;
    font-size: 15px;
    b {
      display: block;
      font-size: 17px;
    }
  }
`;

const Rings = styled.div`
  margin: 0 -14px;
  > section {
    border-top: 0;
  }
`;

const Unfitting = styled.section`
  margin-top: 14px;
  color: var(--muted);
  h2 {
    font-size: 13px;
    font-weight: 650;
  }
  li {
    padding: 2px 0;
  }
  b {
    color: var(--ink);
    font-weight: 500;
  }
`;

const Nothing = styled.p`
  max-width: 560px;
  padding: 18px 0;
  color: var(--muted);
  font-size: 15px;
`;

/** The glass that is in the rig, else the weakest that reaches, else the weakest that gathers. */
function usual(converters: readonly ConverterColumn[], parts: readonly Part[]) {
  const own = glassOf(parts);
  return (
    converters.find((c) => own !== '' && glassOf(c.rig.parts) === own) ??
    converters.find((c) => c.reach > 1) ??
    converters.at(-1) ??
    null
  );
}

type OpenWeighingProps = OpenRigProps<ConvertersInHand>;

/** What there is to weigh with the rig as it is set, and which of it is in hand. */
function useWeighing({ workspace, record, rig, inHand: room }: OpenWeighingProps) {
  const { chosen, onChoose } = room;
  const { lens, body, mode } = rig;
  const { parts: kit, mounts } = workspace;
  // What stands between does not change while rings are turned.
  const trains = useMemo(
    () => trainsFor(rig, kit),
    [lens, body, mode, record.partIds, mounts, kit], // eslint-disable-line react-hooks/exhaustive-deps
  );
  const weighing = useMemo(() => weigh(rig, trains), [rig, trains]);
  const { base, converters } = weighing;
  const inHand = converters.find((c) => c.id === chosen) ?? usual(converters, rig.parts);
  const crop = useMemo(() => (inHand ? cropOf(weighing, inHand.reach) : null), [weighing, inHand]);
  const columns = useMemo(
    () => [base, ...converters, ...(crop ? [crop] : [])],
    [base, converters, crop],
  );
  const verdict = useMemo(() => (inHand ? verdictOfWeighing(base, inHand) : null), [base, inHand]);
  const step = useCallback(
    (by: number) => {
      const at = converters.findIndex((c) => c.id === inHand?.id);
      const next = converters[(at + by + converters.length) % Math.max(1, converters.length)];
      if (next) onChoose(next.id);
    },
    [converters, inHand, onChoose],
  );
  return { trains, weighing, base, inHand, crop, columns, verdict, step };
}

/** A converter that is not in the kit, told by its kind; it is in hand as soon as it is there. The rig keeps its own. */
function SayConverter(props: OpenWeighingProps & { onClose: () => void }) {
  const { workspace, rig, inHand, onClose } = props;
  return (
    <QuickPartDialog
      workspace={workspace}
      frontMountId={rig.lens.mountId}
      rearMountId={rig.body.mountId}
      onAdd={(part, mounts) => {
        inHand.bench.actions.change('Weigh another converter', {}, { parts: [part], mounts });
        inHand.onChoose(part.id);
      }}
      onClose={onClose}
    />
  );
}

/** A lens on a body: what every converter would make of it. */
export function OpenWeighing(props: OpenWeighingProps) {
  const { shell, record, rig } = props;
  const { bench, onChoose } = props.inHand;
  const { lens, body, mode } = rig;
  const { trains, weighing, base, inHand, crop, columns, verdict, step } = useWeighing(props);
  const play = usePlay();
  const [showRings, setShowRings] = useState(false);
  const [saying, setSaying] = useState(false);
  useShellKeys(shell, { p: play.play, '[': () => step(-1), ']': () => step(1) });
  const facts = [fullName(lens), fullName(body), mode.name].join(' · ');
  const { focalMm, fNumber, focusM } = rig.settings;
  const set = [focalWords(focalMm), apertureWords(fNumber), focusWords(focusM ?? Infinity)];
  return (
    <RoomColumns>
      <RoomLarge aria-label="What the glass does">
        <Top>
          <h1>{record.name}</h1>
          <Facts title={facts}>{facts}</Facts>
          <ActingButton onPress={() => setSaying(true)}>Weigh another…</ActingButton>
          <ActingButton aria-expanded={showRings} onPress={() => setShowRings((on) => !on)}>
            {showRings ? 'Put the rings away' : `Set at ${set.join(', ')}`}
          </ActingButton>
        </Top>
        {saying && <SayConverter {...props} onClose={() => setSaying(false)} />}
        {showRings && (
          <Rings>
            <RigRings rig={rig} actions={bench.actions} />
          </Rings>
        )}
        {verdict && (
          <Lead aria-hidden="true">
            <b>{verdict.headline}</b>
            {verdict.because}
          </Lead>
        )}
        {inHand ? (
          <RayDrawing base={base} column={inHand} play={play} />
        ) : (
          <Nothing>
            No converter of the kit goes between this lens and this body. Add one in the{' '}
            {ROOMS.kit.name}, or choose another rig; why those that are there do not fit stands
            below.
          </Nothing>
        )}
        <WeighTable
          columns={columns}
          base={base}
          inHand={inHand?.id ?? null}
          onChoose={onChoose}
          joins={weighing.baseJoins}
        />
        {trains.left > 0 && (
          <Nothing>and {trains.left} more chains of two converters, weaker or longer.</Nothing>
        )}
        {trains.unfitting.length > 0 && (
          <Unfitting aria-label="Converters that do not fit">
            <h2>Does not fit here</h2>
            <ul>
              {trains.unfitting.map(({ name, reasons }) => (
                <li key={name}>
                  <b>{name}</b>: {reasons.join('; ')}
                </li>
              ))}
            </ul>
          </Unfitting>
        )}
      </RoomLarge>
      <VerdictPanel base={base} column={inHand} crop={crop} verdict={verdict} />
    </RoomColumns>
  );
}
