'use client';
import type { PictureView } from '@/core/correction';
import { type Rig, situationOf } from '@/core/rig';
import { fixed, fWords, mm, percent } from '@/core/words';
import { LineButton, MainButton } from '@/ui/controls/Buttons';
import { Chips } from '@/ui/controls/Chips';
import { SideNote } from '@/ui/controls/roomLayout';
import { FilePicker } from '@/ui/form/FilePicker';
import { WordField } from '@/ui/form/WordField';
import type { OpenedPicture } from '@/workers/correction.worker';
import { Acts } from './acts';
import { costWords } from './LiftView';
import type { Lift } from './useLift';
import { engravedWords } from '@/core/optics';

const VIEWS = [
  { id: 'recorded', label: 'all that is recorded' },
  { id: 'delivered', label: 'the delivered frame' },
];

/** Further apart than this, two settings are two. */
const APART = 1.06;
const isApart = (a: number, b: number): boolean => Math.max(a / b, b / a) > APART;

/** What the picture's file says of its settings where that is not how the rig is set; null where it agrees or says nothing. */
function settingsDoubt(rig: Rig, { settings }: OpenedPicture): string | null {
  const { focalMm, fNumber } = rig.settings;
  const through = situationOf(rig).light;
  const told = [
    settings.focalMm !== null &&
      isApart(settings.focalMm, focalMm) &&
      isApart(settings.focalMm, through.focalMm) &&
      mm(settings.focalMm, 0),
    settings.fNumber !== null &&
      isApart(settings.fNumber, fNumber) &&
      isApart(settings.fNumber, through.fNumber) &&
      engravedWords(settings.fNumber),
  ].filter((word) => word !== false);
  return told.length === 0
    ? null
    : `The picture says ${told.join(' and ')}; the rig is set to ${mm(focalMm, 0)} and ${fWords(fNumber, 1)}. Set the rig as the picture was taken, or the lift is another picture’s.`;
}

/** What is chosen of a lift, what it costs, and saving it. */
export function LiftSide({ rig, lift }: { rig: Rig; lift: Lift }) {
  const { picture, choice, busy, name } = lift;
  const doubt = picture && settingsDoubt(rig, picture);
  return (
    <>
      <h2>{name ?? 'No picture yet'}</h2>
      {picture && (
        <>
          <SideNote>
            {picture.widthPx} × {picture.heightPx} pixels, read as{' '}
            {picture.tone === 'srgb' ? 'sRGB' : 'linear light'}.
          </SideNote>
          {doubt && <SideNote role="alert">{doubt}</SideNote>}
          <p>{costWords(picture)}</p>
          <SideNote>
            {picture.clippedShare < 0.0005
              ? 'Nothing goes white that was not.'
              : `${percent(picture.clippedShare)} of it goes white: lift less, or expose less.`}
          </SideNote>
        </>
      )}
      <Chips
        label="The picture shows"
        chips={VIEWS}
        chosen={choice.view}
        onChoose={(id) => lift.show(id as PictureView)}
      />
      <div>
        Lift by{' '}
        <WordField
          label="Strength, percent"
          value={Number(fixed(choice.strength * 100, 0))}
          min={0}
          max={100}
          isWhole
          after="% of what the halo takes"
          onEnter={(value) => lift.strengthen((value ?? 100) / 100)}
        />
      </div>
      <Acts>
        {picture && (
          <MainButton isDisabled={busy} onPress={lift.save}>
            {busy ? 'At work…' : 'Save it lifted'}
          </MainButton>
        )}
        {picture && (
          <FilePicker
            label="Another picture to lift"
            accept="image/jpeg,image/png,image/tiff,.tif,.tiff"
            onFiles={([file]) => file && lift.open(file)}
          >
            Another
          </FilePicker>
        )}
        {!picture && busy && <LineButton isDisabled>Reading…</LineButton>}
      </Acts>
      <SideNote>
        Lifting makes no detail: a corner lifted by a stop has the noise of twice the ISO, and what
        the lens did not sharpen stays soft.
      </SideNote>
    </>
  );
}
