'use client';
import styled from 'styled-components';
import type { Part, RigRecord } from '@/core/kit/records';
import { shiftRangeMm } from '@/core/rig/train';
import { ValueField } from '@/ui/ring/ValueField';
import type { BenchActions } from '@/shell/rig/useBench';

import { short } from '@/core/words';

const Lengths = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(64px, 1fr));
  gap: 10px;
  border-top: 1px solid var(--line);
  padding-top: 6px;
`;

/** A length such as "3", "-2.5 mm", held within a range; null where it is none. */
function readLength(text: string, min: number, max: number): number | null {
  const match = /^\s*([-−+]?\d+(?:[.,]\d+)?)\s*(?:mm)?\s*$/.exec(text);
  if (!match?.[1]) return null;
  const value = Number(match[1].replace(',', '.').replace('−', '-'));
  return value >= min && value <= max ? value : null;
}

interface PartSettingsProps {
  actions: BenchActions;
  record: RigRecord;
  parts: readonly Part[];
}

/** What can be turned on the parts themselves: shift and helicoid. */
export function PartSettings({ actions, record, parts }: PartSettingsProps) {
  const { settings } = record;
  const shift = shiftRangeMm(parts);
  const helicoid = parts.reduce((sum, p) => sum + p.helicoidMm, 0);
  if (shift === 0 && helicoid === 0) return null;
  const words = (v: number) => `${short(v, 1)} mm`;
  const field = (
    name: string,
    key: 'shiftXMm' | 'shiftYMm' | 'helicoidMm',
    min: number,
    max: number,
  ) => (
    <ValueField
      key={key}
      name={name}
      shown={words(settings[key])}
      read={(text) => readLength(text, min, max)}
      range={`${min} to ${max} mm`}
      onEnter={(value) =>
        actions.settle(key === 'helicoidMm' ? 'Turn the helicoid' : 'Shift the lens', {
          [key]: value,
        })
      }
    />
  );
  return (
    <Lengths>
      {shift > 0 && field('Shift right', 'shiftXMm', -shift, shift)}
      {shift > 0 && field('Shift down', 'shiftYMm', -shift, shift)}
      {helicoid > 0 && field('Helicoid', 'helicoidMm', 0, helicoid)}
    </Lengths>
  );
}
