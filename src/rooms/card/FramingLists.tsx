'use client';
import { useState } from 'react';
import { textOf } from '@/workers/readFile';
import { guideOf } from '@/core/guides';
import { newId } from '@/core/kit';
import type { Json } from '@/core/kit/records';
import {
  readFraming,
  takeFraming,
  uuidOf,
  writeFraming,
  type FoundFraming,
} from '@/core/exchange/framing-list';
import { checkSize } from '@/core/exchange/json';
import type { Report } from '@/core/rig/report';
import type { Rig } from '@/core/rig';
import { problemText } from '@/core/words';
import { download } from '@/shell/files/files';
import { guarded, type Tell } from '@/shell/tell';
import { LineButton, TextButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { FilePicker } from '@/ui/form/FilePicker';
import { Acts } from './acts';

export interface RigFileProps {
  rig: Rig;
  report: Report;
  fileName: string;
  tell: Tell;
  /** Sets the rig as a framing asks. */
  onTake: (modeId: string, change: Partial<Rig['settings']>) => void;
}

interface ReadList {
  name: string;
  known: Json;
  framings: FoundFraming[];
}

/** The same framing for other programs, and theirs for this rig. */
export function FramingLists(props: RigFileProps & { protection: number }) {
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
      const text = size.ok ? await textOf(file) : size;
      const read = text.ok ? readFraming(text.value, file.name) : text;
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
