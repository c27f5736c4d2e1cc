'use client';
import { useState } from 'react';
import styled from 'styled-components';
import { newId } from '@/core/kit';
import {
  ASPECTS_KNOWN,
  isJudged,
  KNOWN_WORDS,
  nothingKnown,
  type Knowledge,
  type KnownAspect,
} from '@/core/kit/records';
import { isText, readTold } from '@/core/kit/starter';
import { knownAt } from '@/core/rig/readings';
import type { Rig } from '@/core/rig';
import { apertureWords, focalWords } from '@/gear/rings';
import { ActingButton, TextButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { useTold } from '@/ui/form/useTyped';
import { engraved } from '@/ui/theme/type';
import type { BenchActions } from '@/shell/rig/useBench';

const Known = styled.section`
  margin-top: 8px;
  h4 {
    margin: 0;
    font-size: 12px;
    font-weight: 650;
    color: var(--muted);
  }
`;

const Line = styled.div`
  display: flex;
  justify-content: space-between;
  gap: 10px;
  padding: 2px 0;
  border-bottom: 1px solid var(--line);
  span {
    color: var(--muted);
  }
  b {
    ${engraved}
    text-align: right;
  }
  small {
    display: block;
    font-weight: 400;
    color: var(--muted);
  }
`;

const Words = styled.input`
  width: 100%;
  padding: 5px 0;
  border: 0;
  border-bottom: 1px solid var(--line);
  background: none;
  &::placeholder {
    color: var(--muted);
    opacity: 1;
  }
`;

const Muted = styled.p`
  padding: 4px 0;
  color: var(--muted);
`;

const LABELS = {
  corners: 'Corners',
  distortion: 'Distortion',
  breathing: 'Breathing',
  zoomFocus: 'Focus while zooming',
} as const;

const OPTIONS = Object.fromEntries(
  ASPECTS_KNOWN.map((aspect) => [
    aspect,
    [{ title: LABELS[aspect], options: KNOWN_WORDS[aspect].map((id) => ({ id, label: id })) }],
  ]),
);

/** What is said of it, without where. */
type Said = Pick<Knowledge, KnownAspect | 'character'>;

const readSaid = (text: string | null): Said => {
  const { id: _, focalMm: __, fNumber: ___, ...nothing } = nothingKnown('', 1, 1);
  const isWord = (aspect: KnownAspect) => (word: unknown) =>
    KNOWN_WORDS[aspect].some((known) => known === word);
  return readTold<Said>(text, nothing, {
    corners: isWord('corners'),
    distortion: isWord('distortion'),
    breathing: isWord('breathing'),
    zoomFocus: isWord('zoomFocus'),
    character: isText,
  });
};

interface SayingProps {
  rig: Rig;
  onKeep: (known: Knowledge) => void;
  onClose: () => void;
}

/** A few words for the zoom mark and aperture in hand. */
function Saying({ rig, onKeep, onClose }: SayingProps) {
  const { settings } = rig;
  const [id] = useState(newId);
  const [said, tell] = useTold(`seen of ${rig.lens.id}`, readSaid);
  const known = { ...nothingKnown(id, settings.focalMm, settings.fNumber), ...said };
  const isSaid = ASPECTS_KNOWN.some((a) => isJudged(known[a])) || known.character.trim() !== '';
  return (
    <>
      <Muted>
        At {focalWords(settings.focalMm)} and {apertureWords(settings.fNumber)}, as the rings stand:
      </Muted>
      {ASPECTS_KNOWN.map((aspect) => (
        <Choice
          key={aspect}
          inForm
          label={LABELS[aspect]}
          groups={OPTIONS[aspect] ?? []}
          chosen={known[aspect]}
          onChoose={(word) => tell({ [aspect]: word })}
        />
      ))}
      <Words
        aria-label="Character, in your own words"
        placeholder="character, in your own words"
        maxLength={120}
        value={known.character}
        onChange={(event) => tell({ character: event.target.value })}
      />
      <ActingButton
        isDisabled={!isSaid}
        onPress={() => {
          onKeep({ ...known, character: known.character.trim() });
          onClose();
        }}
      >
        Keep it
      </ActingButton>
      <TextButton onPress={onClose}>Leave it</TextButton>
    </>
  );
}

interface KnownOfLensProps {
  rig: Rig;
  learn: BenchActions['learn'];
}

/** What its owner knows of the lens near how it is set, and a place to say more. */
export function KnownOfLens({ rig, learn }: KnownOfLensProps) {
  const [saying, setSaying] = useState(false);
  const { lens, settings } = rig;
  const known = knownAt(lens, settings);
  return (
    <Known aria-label="What you know of the lens">
      <h4>What you know of the lens</h4>
      {known.map(({ aspect, name, word, where }) => (
        <Line key={aspect}>
          <span>{name}</span>
          <b>
            {word}
            <small>{where}</small>
          </b>
        </Line>
      ))}
      {known.length === 0 && !saying && (
        <Muted>
          Nobody said anything of it near this mark and aperture; nothing is made up in its place.
        </Muted>
      )}
      {saying ? (
        <Saying rig={rig} onKeep={(note) => learn(lens, note)} onClose={() => setSaying(false)} />
      ) : (
        <ActingButton onPress={() => setSaying(true)}>Say what you saw…</ActingButton>
      )}
    </Known>
  );
}
