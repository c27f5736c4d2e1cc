'use client';
import { useState } from 'react';
import styled from 'styled-components';
import { readCurve, type Tone } from '@/core/measure/light';
import { LineButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { EntryField } from '@/ui/form/EntryField';
import { FilePicker } from '@/ui/form/FilePicker';
import { engraved } from '@/ui/theme/type';
import type { FrameRefusal } from '@/workers/measure.worker';
import type { Frames } from './useFrames';

const Curve = styled.textarea`
  width: 100%;
  height: 74px;
  padding: 6px 8px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--raised);
  color: var(--ink);
  ${engraved}
`;

const Trouble = styled.p`
  color: var(--clipped);
  font-size: 12px;
`;

const Told = styled.p`
  color: var(--muted);
  font-size: 12px;
`;

const TONES = [
  { id: 'auto', label: 'as the file says', note: 'or as its halo shows' },
  { id: 'srgb', label: 'sRGB', note: 'pictures from the camera' },
  { id: 'linear', label: 'linear', note: 'developed without a curve' },
  { id: 'curve', label: 'a curve I paste', note: 'value and light, line by line' },
  { id: 'pair', label: 'found from two frames', note: 'of one wall, a known exposure step apart' },
];

interface ToneProps {
  onTone: (tone: Tone | 'auto') => void;
}

function PastedCurve({ onTone }: ToneProps) {
  const [text, setText] = useState('');
  const [trouble, setTrouble] = useState('');
  const use = () => {
    const read = readCurve(text);
    setTrouble(read.ok ? '' : (read.problems[0]?.sentence ?? ''));
    if (read.ok) onTone(read.value);
  };
  return (
    <>
      <Curve
        aria-label="Tone curve: value and light, line by line"
        placeholder={'0 0\n64 0.005\n512 0.18\n1023 1'}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      {trouble && <Trouble role="alert">{trouble}</Trouble>}
      <LineButton onPress={use}>Use this curve</LineButton>
    </>
  );
}

const stepOf = (text: string): number => Number(text.replace(',', '.'));
const stepIsGood = (step: number): boolean => step >= 0.25 && step <= 6;

function FromTwoFrames({ onTone, frames }: ToneProps & { frames: Frames }) {
  const [step, setStep] = useState('1');
  const [said, setSaid] = useState('');
  const find = (files: File[]) => {
    setSaid('…');
    frames
      .ask((door) => door.tone(files, stepOf(step)) as Promise<Tone | FrameRefusal>)
      .then((found) => {
        if ('sentence' in found) setSaid(found.sentence);
        else {
          onTone(found);
          setSaid('Found. Frames are read by it from now on.');
        }
      })
      .catch(() => setSaid('The two frames could not be read.'));
  };
  return (
    <>
      <EntryField
        figure
        label="Step between them, stops"
        shown={step}
        complain={(text) =>
          stepIsGood(stepOf(text)) ? null : 'A step from 0.25 to 6 stops can be used.'
        }
        onEnter={setStep}
      />
      <FilePicker multiple label="Two frames a step apart" accept="" onFiles={find}>
        Choose the two frames
      </FilePicker>
      {said && <Told role="status">{said}</Told>}
    </>
  );
}

interface ToneChoiceProps extends ToneProps {
  tone: Tone | 'auto';
  frames: Frames;
}

/** How the values of the files stand for light. */
export function ToneChoice({ tone, onTone, frames }: ToneChoiceProps) {
  const [asked, setAsked] = useState<'curve' | 'pair' | null>(null);
  const kind = tone === 'auto' ? 'auto' : tone.kind;
  const choose = (id: string) => {
    setAsked(id === 'curve' || id === 'pair' ? id : null);
    if (id === 'auto') onTone('auto');
    else if (id === 'srgb' || id === 'linear') onTone({ kind: id });
  };
  return (
    <>
      <Choice
        label="Tone response"
        groups={[{ title: 'Values stand for light', options: TONES }]}
        chosen={asked ?? kind}
        onChoose={choose}
      />
      {asked === 'curve' && <PastedCurve onTone={onTone} />}
      {asked === 'pair' && <FromTwoFrames onTone={onTone} frames={frames} />}
    </>
  );
}
