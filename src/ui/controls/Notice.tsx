'use client';
import { X } from 'lucide-react';
import { useEffect } from 'react';
import styled, { css } from 'styled-components';
import { PHONE } from '../theme/type';
import { IconButton, TextButton } from './Buttons';

export interface NoticeText {
  /** What was asked stays until it is answered or closed, as a trouble does. */
  kind: 'said' | 'trouble' | 'asked';
  text: string;
  /** What can be done about it. */
  act?: { label: string; press: () => void };
}

/** Where notices stand so that they cover no figure. */
const PLACES = {
  /** A strip of its own under the room; on a phone it stays above the row of rooms. */
  foot: css`
    display: grid;
    justify-items: center;
    @media ${PHONE} {
      position: sticky;
      bottom: calc(56px + env(safe-area-inset-bottom));
      z-index: 30;
    }
  `,
  /** At the foot of the Bench's stage, between its tools: nothing is written there, and no ring moves. */
  stage: css`
    position: fixed;
    left: calc(50vw - 52px);
    bottom: 228px;
    transform: translateX(-50%);
    z-index: 40;
    @media ${PHONE} {
      left: 50%;
      top: 46px;
      bottom: auto;
    }
  `,
};
/** The stage has less room beside its tools. */
const WIDEST_PX = { foot: 560, stage: 336 };

const Place = styled.div<{ $at: keyof typeof PLACES }>`
  ${(p) => PLACES[p.$at]}
  > * {
    max-width: min(${(p) => WIDEST_PX[p.$at]}px, calc(100vw - 24px));
  }
`;

const Strip = styled.div<{ $trouble: boolean }>`
  display: flex;
  align-items: flex-start;
  gap: 8px;
  width: max-content;
  max-height: 40vh;
  overflow: auto;
  margin: 8px 0;
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
  place: keyof typeof PLACES;
  onClose: () => void;
}

/** How long good news stays, ms; troubles stay until they are closed. */
const SAID_MS = 8000;

/** A sentence about what just happened. */
export function Notice({ notice, place, onClose }: NoticeProps) {
  useEffect(() => {
    if (notice?.kind !== 'said') return undefined;
    const timer = setTimeout(onClose, SAID_MS);
    return () => clearTimeout(timer);
  }, [notice, onClose]);
  return (
    <Place $at={place} role={notice?.kind === 'trouble' ? 'alert' : 'status'}>
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
    </Place>
  );
}
