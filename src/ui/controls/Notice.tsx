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

/* In the corner where rooms keep what can wait: no tab or button of a room lies under it. */
const Strip = styled.div<{ $trouble: boolean }>`
  position: fixed;
  right: 12px;
  bottom: 12px;
  z-index: 40;
  @media ${PHONE} {
    bottom: calc(64px + env(safe-area-inset-bottom));
  }
  display: flex;
  align-items: flex-start;
  gap: 8px;
  width: max-content;
  max-width: min(520px, calc(100vw - 24px));
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
  onClose: () => void;
}

/** How long good news stays, ms; troubles stay until they are closed. */
const SAID_MS = 8000;

/** A sentence about what just happened. */
export function Notice({ notice, onClose }: NoticeProps) {
  useEffect(() => {
    if (notice?.kind !== 'said') return undefined;
    const timer = setTimeout(onClose, SAID_MS);
    return () => clearTimeout(timer);
  }, [notice, onClose]);
  return (
    <div role={notice?.kind === 'trouble' ? 'alert' : 'status'}>
      {notice && (
        <Strip $trouble={notice.kind === 'trouble'} data-testid="notice">
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
