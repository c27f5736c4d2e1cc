'use client';
import styled from 'styled-components';
import { DialogSheet } from '@/ui/controls/DialogSheet';
import { engraved } from '@/ui/theme/type';
import { COMMON_SHORTCUTS, type Shortcut } from './keys';

const Keys = styled.dl`
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 6px 18px;
  dt {
    ${engraved}
    white-space: nowrap;
  }
  dd {
    color: var(--muted);
  }
`;

interface HelpDialogProps {
  /** Keys of the room in hand. */
  shortcuts: readonly Shortcut[];
  onClose: () => void;
}

export function HelpDialog({ shortcuts, onClose }: HelpDialogProps) {
  return (
    <DialogSheet title="By keyboard" open onClose={onClose}>
      <Keys>
        {[...COMMON_SHORTCUTS, ...shortcuts].map(({ keys, does }) => (
          <div key={keys} style={{ display: 'contents' }}>
            <dt>{keys}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </Keys>
      <p>
        Press any figure to see its formula, what went into it and how it is known. The program is a
        planner: makers’ data and your own check come first.
      </p>
    </DialogSheet>
  );
}
