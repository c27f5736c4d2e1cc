'use client';
import { Label, RadioButton, RadioField, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { PHONE } from '../theme/type';

export interface Chip {
  id: string;
  label: string;
  /** A second, quieter line. */
  note?: string;
  picture?: React.ReactNode;
  isDisabled?: boolean;
}

/* The inputs themselves are hidden and lie here, not somewhere down the page. */
const Group = styled(RadioGroup)`
  position: relative;
  display: grid;
  gap: 6px;
`;

const GroupLabel = styled(Label)`
  color: var(--muted);
  font-size: 12px;
`;

const Row = styled.div<{ $pictured: boolean }>`
  display: ${(p) => (p.$pictured ? 'grid' : 'flex')};
  grid-template-columns: repeat(auto-fill, minmax(196px, 1fr));
  flex-wrap: wrap;
  gap: 6px;
  @media ${PHONE} {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
`;

/* Chosen by its notch and weight first, by its colour second. */
const Option = styled(RadioButton)`
  position: relative;
  height: 100%;
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 32px;
  padding: 4px 10px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  cursor: pointer;
  line-height: 1.25;
  &[data-hovered] {
    background: var(--raised);
  }
  &[data-selected] {
    border-color: var(--amber);
    box-shadow: inset 4px 0 0 var(--amber);
    background: var(--raised);
    font-weight: 650;
  }
  &[data-disabled] {
    border-style: dashed;
    color: var(--muted);
    cursor: default;
  }
  @media ${PHONE} {
    min-height: 42px;
  }
`;

const Note = styled.span`
  display: block;
  color: var(--muted);
  font-size: 12px;
  font-weight: 400;
`;

interface ChipsProps {
  label: string;
  chips: readonly Chip[];
  chosen: string;
  onChoose: (id: string) => void;
}

/** One of some that are all in sight: one press each. */
export function Chips({ label, chips, chosen, onChoose }: ChipsProps) {
  return (
    <Group value={chosen} onChange={(id: string) => onChoose(id)} orientation="horizontal">
      <GroupLabel>{label}</GroupLabel>
      <Row $pictured={chips.some((c) => c.picture !== undefined)}>
        {chips.map(({ id, label: name, note, picture, isDisabled = false }) => (
          <RadioField key={id} value={id} isDisabled={isDisabled}>
            <Option>
              {picture}
              <span>
                {name}
                {note && <Note>{note}</Note>}
              </span>
            </Option>
          </RadioField>
        ))}
      </Row>
    </Group>
  );
}
