'use client';
import type { Mount } from '@/core/kit/records';
import { COMMON_SENSORS, type StartAnswers } from '@/core/kit/starter';
import { FORMATS, formatWords } from '@/core/optics';
import { Chips, type Chip } from '@/ui/controls/Chips';
import { EntryField } from '@/ui/form/EntryField';
import { MountQuestion } from './MountQuestion';
import { ofYesOrNo, UNKNOWN, unknownChip, YES_OR_NO, yesOrNoOf } from './unknown';

const SENSORS: readonly Chip[] = [
  unknownChip,
  ...COMMON_SENSORS.flatMap(({ formatId: id }) => {
    const format = FORMATS.find((f) => f.id === id);
    return format ? [{ id, label: formatWords(format) }] : [];
  }),
];

/** Megapixels such a sensor comes with; of an unknown one, those of most. */
const pixelChips = (sensorId: string | null): readonly Chip[] => {
  const sensor = COMMON_SENSORS.find((s) => s.formatId === sensorId) ?? COMMON_SENSORS[0];
  return [
    unknownChip,
    ...(sensor?.megapixels ?? []).map((v) => ({ id: String(v), label: `${v} MP` })),
  ];
};

const USES: readonly Chip[] = [
  { id: 'stills', label: 'Stills' },
  { id: 'video', label: 'Video' },
];

type CameraAnswers = Pick<
  StartAnswers,
  'cameraName' | 'sensorId' | 'megapixels' | 'isStabilised' | 'use' | 'cameraMountId' | 'ownNames'
>;

interface CameraQuestionsProps {
  answers: CameraAnswers;
  mounts: readonly Mount[];
  /** Whether it matters what it is used for now. */
  withUse?: boolean;
  onAnswer: (change: Partial<CameraAnswers>) => void;
}

/** What people know of a camera: its sensor, whether it steadies, its mount. */
export function CameraQuestions(props: CameraQuestionsProps) {
  const { answers, mounts, withUse = false, onAnswer } = props;
  const { sensorId, megapixels, cameraMountId, ownNames } = answers;
  return (
    <>
      <Chips
        label="Sensor, mm"
        chips={SENSORS}
        chosen={sensorId ?? UNKNOWN}
        onChoose={(id) => onAnswer({ sensorId: id === UNKNOWN ? null : id, megapixels: null })}
      />
      <Chips
        label="Megapixels"
        chips={pixelChips(sensorId)}
        chosen={megapixels === null ? UNKNOWN : String(megapixels)}
        onChoose={(id) => onAnswer({ megapixels: id === UNKNOWN ? null : Number(id) })}
      />
      <Chips
        label="Does the sensor move to steady the picture?"
        chips={YES_OR_NO}
        chosen={yesOrNoOf(answers.isStabilised)}
        onChoose={(id) => onAnswer({ isStabilised: ofYesOrNo(id) })}
      />
      {withUse && (
        <Chips
          label="For"
          chips={USES}
          chosen={answers.use}
          onChoose={(id) => onAnswer({ use: id === 'video' ? 'video' : 'stills' })}
        />
      )}
      <MountQuestion
        label="Mount of the camera, by register: mm from flange to sensor"
        mounts={mounts}
        onCameras
        chosen={cameraMountId}
        onChoose={(id) => onAnswer({ cameraMountId: id })}
        ownName={ownNames[cameraMountId ?? '']}
        onOwnName={(name) => onAnswer({ ownNames: { ...ownNames, [cameraMountId ?? '']: name } })}
      />
      <EntryField
        label="What you call the camera"
        shown={answers.cameraName}
        placeholder="if you like"
        complain={(text) => (text.length > 200 ? 'A name of up to 200 letters.' : null)}
        onEnter={(cameraName) => onAnswer({ cameraName })}
      />
    </>
  );
}
