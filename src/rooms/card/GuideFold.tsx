'use client';
import { useState } from 'react';
import styled from 'styled-components';
import { guideOf, MOST_PROTECTION } from '@/core/guides/guide';
import { guideSvg, PARTS_SMALL } from '@/core/guides/guideSvg';
import { newId } from '@/core/kit/newId';
import type { Json } from '@/core/kit/records/schema';
import {
  readFraming,
  takeFraming,
  uuidOf,
  writeFraming,
  type FoundFraming,
} from '@/core/exchange/framing-list/framingFile';
import { checkSize } from '@/core/exchange/json/json';
import type { Report } from '@/core/rig/report/evaluate';
import type { Rig } from '@/core/rig/rig';
import { problemText } from '@/core/words/problem';
import { download } from '@/shell/files/files';
import { guarded, type Tell } from '@/shell/tell';
import { pngOfSvg } from '@/ui/canvas';
import { LineButton, TextButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { SideNote } from '@/ui/controls/roomLayout';
import { FilePicker } from '@/ui/form/FilePicker';
import { FlagField } from '@/ui/form/FlagField';
import { WordField } from '@/ui/form/WordField';
import { Acts } from './acts';

const Shown = styled.img`
  display: block;
  width: 100%;
  margin: 8px 0;
  /* As a dim picture would be, by day and by night. */
  background: #4b443b;
`;

interface GuideFoldProps {
  rig: Rig;
  report: Report;
  fileName: string;
  tell: Tell;
  /** Sets the rig as a framing asks. */
  onTake: (modeId: string, change: Partial<Rig['settings']>) => void;
}

const KEY_WORDS =
  'Solid line: delivered. Dashed: composed for. Dots: edge of the halo. Tinted: shaded; dark: black.';

/** Frame guides as pictures, and framing decision lists in and out. */
export function GuideFold(props: GuideFoldProps) {
  const { rig, report, fileName, tell } = props;
  const [protection, setProtection] = useState(0);
  const [isSeen, setSeen] = useState(false);
  const share = protection / 100;
  const guide = guideOf(rig, report, { protection: share, desqueezed: isSeen });
  if (!guide.ok) return <SideNote role="alert">{problemText(guide.problems)}</SideNote>;
  const { widthPx, heightPx } = guide.value;
  const on = `${rig.lens.name} on ${rig.body.name}, ${rig.mode.name}.`;
  const svg = guideSvg(guide.value, rig.name, `${on} ${KEY_WORDS}`);
  const small = guideSvg(guide.value, rig.name, on, PARTS_SMALL);
  const savePng = () =>
    guarded(tell, async () => download(`${fileName}-guide.png`, await pngOfSvg(svg)));
  return (
    <>
      <Shown
        src={`data:image/svg+xml;utf8,${encodeURIComponent(small)}`}
        alt={`Frame guide of ${widthPx} × ${heightPx} pixels`}
      />
      <SideNote>
        {widthPx} × {heightPx} pixels. {KEY_WORDS}
      </SideNote>
      <div>
        Keep{' '}
        <WordField
          label="Protection, percent"
          value={protection}
          min={0}
          max={MOST_PROTECTION * 100}
          after="%"
          onEnter={(value) => setProtection(value ?? 0)}
        />{' '}
        around what is composed for
      </div>
      {rig.lens.squeeze !== 1 && (
        <FlagField label="as a monitor shows it, desqueezed" on={isSeen} onTurn={setSeen} />
      )}
      <Acts>
        <LineButton onPress={savePng}>PNG</LineButton>
        <LineButton onPress={() => download(`${fileName}-guide.svg`, svg, 'image/svg+xml')}>
          SVG
        </LineButton>
      </Acts>
      <FramingLists {...props} protection={share} />
    </>
  );
}

interface ReadList {
  name: string;
  known: Json;
  framings: FoundFraming[];
}

/** The same framing for other programs, and theirs for this rig. */
function FramingLists(props: GuideFoldProps & { protection: number }) {
  const { rig, report, fileName, tell, onTake, protection } = props;
  const [list, setList] = useState<ReadList | null>(null);
  const save = (known: Json | null, name: string) => {
    const guide = guideOf(rig, report, { protection, desqueezed: false });
    if (!guide.ok) return;
    download(name, writeFraming(rig, report, guide.value, { uuid: uuidOf(newId()), known }));
    tell({ kind: 'said', text: `Saved as ${name}.` });
  };
  const open = (file: File | undefined) => {
    if (!file) return;
    guarded(tell, async () => {
      const size = checkSize(file.size, file.name);
      const read = size.ok ? readFraming(await file.text(), file.name) : size;
      if (read.ok) setList({ name: file.name, ...read.value });
      else tell({ kind: 'trouble', text: problemText(read.problems) });
    });
  };
  const take = (framing: FoundFraming | undefined) => {
    const taken = framing && takeFraming(rig, framing);
    if (!taken) return;
    if (!taken.ok) {
      tell({ kind: 'trouble', text: problemText(taken.problems) });
      return;
    }
    const { modeId, change, notes } = taken.value;
    onTake(modeId, change);
    const text = [`Framed as ${framing.label}.`, ...notes, 'Undo takes it back.'].join(' ');
    tell({ kind: 'said', text });
  };
  return (
    <>
      <Acts>
        <LineButton onPress={() => save(null, `${fileName}.fdl`)}>Save a framing list</LineButton>
        <FilePicker
          label="Framing decision list"
          accept=".fdl,.json,application/json"
          onFiles={([file]) => open(file)}
        >
          Open one
        </FilePicker>
      </Acts>
      {list && (
        <>
          <Choice
            label="Frame as"
            groups={[
              {
                title: list.name,
                options: list.framings.map(({ label }, i) => ({ id: String(i), label })),
              },
            ]}
            chosen={null}
            placeholder="which framing"
            onChoose={(id) => take(list.framings[Number(id)])}
          />
          <TextButton onPress={() => save(list.known, list.name)}>
            Save {list.name} with this rig in it
          </TextButton>
        </>
      )}
    </>
  );
}
