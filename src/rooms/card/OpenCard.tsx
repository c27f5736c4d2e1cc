'use client';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { PAPERS, PAPER_SIZES } from '@/core/card/paper';
import { daysInOrder, rigsOfDay } from '@/core/card';
import { fileNameOf, counted } from '@/core/words';
import type { Report } from '@/core/rig/report';
import type { Rig } from '@/core/rig';
import { download } from '@/shell/files/files';
import type { OpenRigProps } from '@/shell/rig/RigRoom';
import { ROOMS } from '@/shell/rooms';
import { useDoor } from '@/shell/useDoor';
import { useOneAtATime } from '@/shell/useOneAtATime';
import { useShellKeys } from '@/shell/useShell';
import { LineButton, MainButton } from '@/ui/controls/Buttons';
import { Chips } from '@/ui/controls/Chips';
import { Fold } from '@/ui/controls/Fold';
import { RoomColumns, RoomLarge, RoomSide, SideNote } from '@/ui/controls/roomLayout';
import { PHONE } from '@/ui/theme/type';
import { today } from '@/ui/today';
import type { CorrectionDoor } from '@/workers/correction.worker';
import type { Door } from '@/workers/door';
import { openCorrection } from '@/workers/doors';
import type { PaperRequest } from '@/workers/paper.worker';
import { Acts } from './acts';
import { CodeAddress, codeAddress } from './CodeAddress';
import { DaySide } from './DaySide';
import { CorrectionFiles, GiveAway } from './FilesFold';
import { GuideFold } from './GuideFold';
import { LiftSide } from './LiftSide';
import { LiftView } from './LiftView';
import { PaperView } from './PaperView';
import { useDay } from './useDay';
import type { CardInHand } from './useCard';
import { useLift } from './useLift';
import { usePaper } from './usePaper';

const SIZES = PAPER_SIZES.map((id) => ({ id, label: PAPERS[id].name }));
const SUBJECTS = [
  { id: 'rig', label: 'This rig' },
  { id: 'day', label: 'A day' },
  { id: 'lift', label: 'Lift a picture' },
];

/** More characters are not listed. */
const MOST_MISSING = 12;

/* What it is made of stands over the side; on a phone over the paper, which is long. */
const Columns = styled(RoomColumns)`
  grid-template-rows: auto minmax(0, 1fr);
  > :nth-child(1) {
    grid-area: 1 / 2;
  }
  > :nth-child(2) {
    grid-area: 1 / 1 / 3 / 2;
  }
  > :nth-child(3) {
    grid-area: 2 / 2;
    padding-top: 0;
  }
`;

const Head = styled.div`
  padding: 14px 16px 0;
  border-left: 1px solid var(--line);
  @media ${PHONE} {
    padding: 10px 10px 0;
    border: 0;
  }
`;

const Part = styled.div`
  display: grid;
  gap: 8px;
  margin-top: 14px;
`;

type OpenCardProps = OpenRigProps<CardInHand>;

/** The paper of what is in hand, and how it is saved. */
function useCardPaper({ workspace, record, rig, inHand, shell }: OpenCardProps) {
  const { view } = inHand;
  const [address, setAddress] = useState(codeAddress);
  const day = workspace.days.find((d) => d.id === view.dayId) ?? null;
  const rigs = useMemo(() => (day ? rigsOfDay(workspace, day) : []), [workspace, day]);
  const request = useMemo<PaperRequest>(
    () => ({
      size: view.size,
      today: today(),
      address: `${address}${ROOMS.bench.path}`,
      what: day ? { kind: 'day', day, rigs } : { kind: 'rig', rig, note: record.note },
    }),
    [view.size, address, day, rigs, rig, record.note],
  );
  const paper = usePaper(request);
  const [busy, run] = useOneAtATime(shell.tell);
  const fileName = fileNameOf(day?.name ?? rig.name, 'card');
  const savePdf = () =>
    run(async () => {
      const bytes = await paper.door.ask((worker) => worker.pdf(request));
      download(`${fileName}.pdf`, new Blob([bytes], { type: 'application/pdf' }));
      return `Saved as ${fileName}.pdf.`;
    });
  return { day, rigs, paper, address, setAddress, busy, savePdf, fileName };
}

type CardPaper = ReturnType<typeof useCardPaper>;

/** How large the paper is, and where its code leads. */
function PaperSide({
  made,
  view,
  onView,
}: Pick<CardInHand, 'view' | 'onView'> & { made: CardPaper }) {
  const { paper, address, setAddress } = made;
  const { withoutCode = [], paper: pages } = paper.laid ?? {};
  const missing = pages?.missing ?? [];
  return (
    <Part>
      <Chips
        label="Paper"
        chips={SIZES}
        chosen={view.size}
        onChoose={(id) => onView({ ...view, size: PAPER_SIZES.find((s) => s === id) ?? view.size })}
      />
      {missing.length > 0 && (
        <SideNote role="status">
          {counted(missing.length, 'character')} no font of the paper has:{' '}
          {missing.slice(0, MOST_MISSING).join(' ')}. They stand as question marks.
        </SideNote>
      )}
      <CodeAddress address={address} withoutCode={withoutCode} onAddress={setAddress} />
    </Part>
  );
}

/** What else is made of a rig for other programs and other people. */
function RigFiles(
  props: OpenCardProps & { report: Report; fileName: string; door: Door<CorrectionDoor> },
) {
  const { workspace, shell, inHand, rig, report, fileName, door } = props;
  const { tell } = shell;
  const { bench } = inHand;
  const take = (modeId: string, change: Partial<Rig['settings']>) =>
    bench.actions.change('Frame as the list says', {
      modeId,
      settings: { ...rig.settings, ...change },
    });
  return (
    <>
      <Fold title="Frame guide" summary="PNG, SVG, framing list">
        <GuideFold rig={rig} report={report} fileName={fileName} tell={tell} onTake={take} />
      </Fold>
      <Fold title="For correcting pictures" summary="gain map, profile">
        <CorrectionFiles rig={rig} fileName={fileName} door={door} tell={tell} />
      </Fold>
      <Fold title="Give this lens away" summary="its measurements">
        <GiveAway workspace={workspace} rig={rig} tell={tell} />
      </Fold>
    </>
  );
}

/** The paper large, and beside it what it is made of; or a picture that is lifted. */
export function OpenCard(props: OpenCardProps) {
  const { workspace, shell, inHand, record, rig } = props;
  const { bench, view, onView } = inHand;
  const [isLifting, setLifting] = useState(false);
  const door = useDoor(openCorrection);
  const lift = useLift(rig, door, shell.tell);
  const made = useCardPaper(props);
  const { day, rigs, paper, busy, savePdf, fileName } = made;
  const onDay = (dayId: string | null) => onView({ ...view, dayId });
  const doings = useDay(workspace.days, day, shell.tell, onDay);
  const choose = (subject: string) => {
    setLifting(subject === 'lift');
    if (subject === 'rig') onDay(null);
    if (subject !== 'day' || day) return;
    const [first] = daysInOrder(workspace.days);
    if (first) onDay(first.id);
    else doings.begin([record.id]);
  };
  useShellKeys(shell, {
    d: () => choose(day ? 'rig' : 'day'),
    p: savePdf,
    l: () => choose(isLifting ? 'rig' : 'lift'),
  });
  const subject = isLifting ? 'lift' : day ? 'day' : 'rig';
  return (
    <Columns>
      <Head>
        <Chips label="Made of" chips={SUBJECTS} chosen={subject} onChoose={choose} />
        {!isLifting && (
          <Acts>
            <MainButton isDisabled={busy} onPress={savePdf}>
              Save as PDF
            </MainButton>
            <LineButton onPress={() => window.print()}>Print</LineButton>
          </Acts>
        )}
      </Head>
      <RoomLarge aria-label={isLifting ? 'Picture' : 'Paper'} tabIndex={0}>
        {isLifting ? <LiftView lift={lift} /> : <PaperView paper={paper} size={view.size} />}
      </RoomLarge>
      <RoomSide aria-label="What goes to the shoot" tabIndex={0}>
        {isLifting && <LiftSide rig={rig} lift={lift} />}
        {!isLifting && day && (
          <DaySide
            workspace={workspace}
            day={day}
            rigs={rigs}
            doings={doings}
            onDay={onDay}
            rigId={record.id}
          />
        )}
        {!isLifting && <PaperSide made={made} view={view} onView={onView} />}
        {!isLifting && !day && bench.report && (
          <RigFiles {...props} report={bench.report} fileName={fileName} door={door} />
        )}
      </RoomSide>
    </Columns>
  );
}
