'use client';
import { X } from 'lucide-react';
import { useEffect } from 'react';
import styled from 'styled-components';
import { PHONE } from '../theme/type';
import { IconButton, TextButton } from './Buttons';

export interface NoticeText {
  /** What was asked stays until it is answered or closed, as a trouble does. */
  kind: 'said' | 'trouble' | 'asked';
  text: string;
  /** What can be done about it. */
  act?: { label: string; press: () => void };
}

/** At the foot of the Bench's stage, between its tools: nothing is written there. */
const OVER_RINGS = 'left: calc(50vw - 52px); bottom: 236px';

const Strip = styled.div<{ $trouble: boolean; $low: boolean }>`
  position: fixed;
  left: 50%;
  ${(p) => (p.$low ? 'bottom: 12px' : OVER_RINGS)};
  transform: translateX(-50%);
  z-index: 40;
  @media ${PHONE} {
    ${(p) => (p.$low ? 'bottom: calc(64px + env(safe-area-inset-bottom))' : 'left: 50%; top: 54px; bottom: auto')};
  }
  display: flex;
  align-items: flex-start;
  gap: 8px;
  width: max-content;
  max-width: min(${(p) => (p.$low ? 520 : 336)}px, calc(100vw - 24px));
  max-height: 40vh;
  overflow: auto;
  padding: 8px 6px 8px 14px;
  background: var(--lifted);
  border: 1px solid ${(p) => (p.$trouble ? 'var(--clipped)' : 'var(--line)')};
  border-radius: 4px;
  p {
    padding: 6px 0;
    white-space: pre-line;
    overflow-wrap: anywhere;
  }
`;

interface NoticeProps {
  notice: NoticeText | null;
  /** At the foot, where the head of a room holds what is pressed. */
  isLow: boolean;
  onClose: () => void;
}

/** How long good news stays, ms; troubles stay until they are closed. */
const SAID_MS = 8000;

/** A sentence about what just happened. */
export function Notice({ notice, isLow, onClose }: NoticeProps) {
  useEffect(() => {
    if (notice?.kind !== 'said') return undefined;
    const timer = setTimeout(onClose, SAID_MS);
    return () => clearTimeout(timer);
  }, [notice, onClose]);
  return (
    <div role={notice?.kind === 'trouble' ? 'alert' : 'status'}>
      {notice && (
        <Strip $trouble={notice.kind === 'trouble'} $low={isLow} data-testid="notice">
          <p>{notice.text}</p>
          {notice.act && (
            <TextButton
              onPress={() => {
                onClose();
                notice.act?.press();
              }}
            >
              {notice.act.label}
            </TextButton>
          )}
          <IconButton label="Close this notice" onPress={onClose}>
            <X size={15} aria-hidden="true" />
          </IconButton>
        </Strip>
      )}
    </div>
  );
}
