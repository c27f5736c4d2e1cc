'use client';
import { useState } from 'react';
import { fileNameOf, counted, fixed, percent } from '@/core/words';
import { GAIN_FORMATS, gainWords, type GainFormat, MOST_GAIN } from '@/core/correction';
import { lensFileOf, writeLensFile } from '@/core/exchange/json';
import type { Workspace } from '@/core/kit/records';
import type { Rig } from '@/core/rig';
import { download } from '@/shell/files/files';
import type { Tell } from '@/shell/tell';
import { useOneAtATime } from '@/shell/useOneAtATime';
import { recall, remember } from '@/store/remembered/remembered';
import { LineButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { SideNote } from '@/ui/controls/roomLayout';
import { EntryField } from '@/ui/form/EntryField';
import type { Door } from '@/workers/door';
import type { CorrectionDoor, ProfileFile, Refusal } from '@/workers/correction.worker';
import { Acts } from './acts';

interface FilesFoldProps {
  workspace: Workspace;
  rig: Rig;
  fileName: string;
  door: Door<CorrectionDoor>;
  tell: Tell;
}

const FORMATS = [{ title: 'Gain map', options: GAIN_FORMATS.map((id) => ({ id, label: id })) }];

/** A profile and a gain map of the rig, for programs that correct pictures. */
export function CorrectionFiles({ rig, fileName, door, tell }: Omit<FilesFoldProps, 'workspace'>) {
  const [format, setFormat] = useState<GainFormat>(GAIN_FORMATS[0]);
  const [busy, run] = useOneAtATime(tell);
  const saveMap = () =>
    run(async () => {
      const { bytes, extension, type, fullScale } = await door.ask((worker) =>
        worker.gainMap(rig, format),
      );
      const name = `${fileName}-gain.${extension}`;
      download(name, new Blob([bytes], { type }));
      return `Saved as ${name}. ${gainWords(fullScale)}`;
    });
  const saveProfile = () =>
    run(async () => {
      const profile = await door.ask(async (worker): Promise<ProfileFile | Refusal> =>
        worker.profile(rig),
      );
      if ('sentence' in profile) return profile.sentence;
      const name = `${fileName}-lensfun.xml`;
      download(name, profile.xml, 'application/xml');
      const left =
        profile.leftOut.length > 0
          ? ` ${counted(profile.leftOut.length, 'setting')} left out: ${profile.leftOut[0]?.reason ?? ''}.`
          : '';
      return `Saved as ${name}: ${counted(profile.written, 'setting')}, error at most ${fixed(profile.errorStops, 3)} stop within ${percent(profile.validShare, 0)} of the way to the corner.${left}`;
    });
  return (
    <>
      <SideNote>
        What a picture of this rig is multiplied by, at the pixels it records. No place is lifted by
        more than {fixed(Math.log2(MOST_GAIN), 0)} stops.
      </SideNote>
      <Choice
        label="Gain map"
        groups={FORMATS}
        chosen={format}
        onChoose={(id) => setFormat(GAIN_FORMATS.find((f) => f === id) ?? format)}
      />
      <Acts>
        <LineButton isDisabled={busy} onPress={saveMap}>
          Save the gain map
        </LineButton>
        <LineButton isDisabled={busy} onPress={saveProfile}>
          Lensfun profile
        </LineButton>
      </Acts>
    </>
  );
}

const BY = 'wandering-halo-measured-by';

/** One lens's measurements, as a file to give away. */
export function GiveAway({ workspace, rig, tell }: Omit<FilesFoldProps, 'door' | 'fileName'>) {
  const [by, setBy] = useState(() => recall(BY) ?? '');
  const { lens } = rig;
  const measured = lens.halo.filter((s) => s.evidence.kind === 'measured').length;
  const entries = workspace.measurements.filter((m) => m.lensId === lens.id).length;
  const give = () => {
    const name = `${fileNameOf(lens.name, 'lens')}-lens.json`;
    download(name, writeLensFile(lensFileOf(workspace, lens, by.trim())));
    tell({
      kind: 'said',
      text: `Saved as ${name}. Whoever opens it sees what it would bring first.`,
    });
  };
  return (
    <>
      <SideNote>
        {lens.name}: {counted(lens.halo.length, 'halo sample')}, {measured} of them measured, and{' '}
        {entries} in the log. Prices and notes stay here.
      </SideNote>
      <EntryField
        label="Measured by"
        shown={by}
        placeholder="said in each sample"
        complain={(text) => (text.length > 200 ? 'At most 200 characters.' : null)}
        onEnter={(text) => {
          setBy(text);
          remember(BY, text);
        }}
      />
      <Acts>
        <LineButton onPress={give}>Save the lens to give away</LineButton>
      </Acts>
    </>
  );
}
