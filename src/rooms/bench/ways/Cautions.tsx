'use client';
import { TriangleAlert } from 'lucide-react';
import { memo } from 'react';
import { Button, Dialog, DialogTrigger, Heading } from 'react-aria-components';
import styled from 'styled-components';
import type { Caution } from '@/core/rig/report';
import { Sheet } from '@/ui/controls/surfaces';
import { oneLine } from '@/ui/theme/type';
import { useSame } from '@/ui/useSame';

const Line = styled(Button)`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  align-items: center;
  gap: 8px;
  width: 100%;
  margin-top: 10px;
  padding: 6px 8px;
  border: 0;
  border-radius: var(--radius);
  background: var(--raised);
  text-align: left;
  font-size: 12px;
  cursor: pointer;
  &[data-hovered] {
    background: var(--lifted);
  }
`;

const First = styled.span`
  ${oneLine}
`;

const More = styled.span`
  color: var(--muted);
`;

const List = styled(Dialog)`
  padding: 14px 16px;
  outline: none;
  display: grid;
  gap: 10px;
  li + li {
    border-top: 1px solid var(--line);
    padding-top: 8px;
    margin-top: 8px;
  }
`;

const Title = styled(Heading)`
  font-size: 15px;
  font-weight: 650;
`;

const Because = styled.p`
  color: var(--muted);
  font-size: 12px;
  overflow-wrap: anywhere;
`;

interface CautionSheetProps {
  title: string;
  cautions: readonly Caution[];
}

const CautionSheet = ({ title, cautions }: CautionSheetProps) => (
  <Sheet placement="left bottom">
    <List>
      <Title slot="title">{title}</Title>
      <ul>
        {cautions.map((caution) => (
          <li key={caution.id}>
            <p>{caution.words}</p>
            <Because>{caution.why}</Because>
          </li>
        ))}
      </ul>
    </List>
  </Sheet>
);

const CautionLine = memo(function CautionLine({ cautions }: { cautions: readonly Caution[] }) {
  const [first, ...rest] = cautions;
  if (!first) return null;
  return (
    <DialogTrigger>
      <Line>
        <TriangleAlert size={14} aria-hidden="true" />
        <First>Mind: {first.words}</First>
        <More>{rest.length > 0 ? `${rest.length} more` : 'why'}</More>
      </Line>
      <CautionSheet title="What to mind with this rig" cautions={cautions} />
    </DialogTrigger>
  );
});

/** What to mind with this rig: the most urgent in sight, all of them on pressing. */
export const Cautions = ({ cautions }: { cautions: readonly Caution[] }) => (
  <CautionLine cautions={useSame(cautions)} />
);

const Sign = styled(Button)`
  display: grid;
  place-items: center;
  width: 26px;
  height: 30px;
  padding: 0;
  border: 0;
  background: none;
  cursor: pointer;
  color: var(--shaded);
  &[data-hovered] {
    color: var(--amber);
  }
`;

/** The cautions due at one place of the rig, behind a sign that stands there. */
export function CautionsHere({ cautions }: { cautions: readonly Caution[] }) {
  const [first] = cautions;
  if (!first) return null;
  return (
    <DialogTrigger>
      <Sign aria-label={`Mind here: ${cautions.map((c) => c.words).join(' ')}`}>
        <TriangleAlert size={14} aria-hidden="true" />
      </Sign>
      <CautionSheet title="What to mind here" cautions={cautions} />
    </DialogTrigger>
  );
}
