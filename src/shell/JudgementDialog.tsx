'use client';
import styled from 'styled-components';
import type { Judgement } from '@/core/kit/records';
import { CIRCLE_RULES, type CircleRule, CROP_BASES, type CropBasis } from '@/core/optics';
import { Choice } from '@/ui/controls/Choice';
import { DialogSheet } from '@/ui/controls/DialogSheet';
import { ValueField } from '@/ui/ring/ValueField';

const Limits = styled.div`
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 14px;
`;

const LIMITS = [
  { key: 'strictStops', name: 'Strict' },
  { key: 'gradeStops', name: 'Grade it out' },
  { key: 'lookStops', name: 'As a look' },
] as const;

const [LEAST, MOST] = [0.1, 6];

function readStops(text: string): number | null {
  const match = /^\s*(\d+(?:[.,]\d+)?)\s*(?:stops?)?\s*$/.exec(text);
  const value = Number(match?.[1]?.replace(',', '.') ?? Number.NaN);
  return value >= LEAST && value <= MOST ? value : null;
}

interface JudgementDialogProps {
  judgement: Judgement;
  onJudge: (judgement: Judgement) => void;
  onClose: () => void;
}

/** The numbers behind every verdict and equivalent, for the whole workspace. */
export function JudgementDialog({ judgement, onJudge, onClose }: JudgementDialogProps) {
  return (
    <DialogSheet title="How this workspace judges" open onClose={onClose}>
      <p>
        The darkest corner each school accepts. A hard edge is never Clear, whatever the number.
      </p>
      <Limits>
        {LIMITS.map(({ key, name }) => (
          <ValueField
            key={key}
            name={name}
            shown={`${judgement[key]} ${judgement[key] === 1 ? 'stop' : 'stops'}`}
            read={readStops}
            range={`${LEAST} to ${MOST} stops`}
            onEnter={(value) => onJudge({ ...judgement, [key]: value })}
          />
        ))}
      </Limits>
      <Choice
        label="Equivalents count by"
        groups={[
          { title: 'Crop factor from', options: CROP_BASES.map((id) => ({ id, label: id })) },
        ]}
        chosen={judgement.basis}
        onChoose={(id) => onJudge({ ...judgement, basis: id as CropBasis })}
      />
      <Choice
        label="Sharp enough is a disc of"
        groups={[
          {
            title: 'Circle of confusion',
            options: CIRCLE_RULES.map((id) => ({ id, label: id })),
          },
        ]}
        chosen={judgement.circle}
        onChoose={(id) => onJudge({ ...judgement, circle: id as CircleRule })}
      />
    </DialogSheet>
  );
}
