'use client';
import { useEffect } from 'react';
import styled from 'styled-components';
import { TextButton } from '@/ui/controls/Buttons';
import { PHONE } from '@/ui/theme/type';
import { keepOffline, takeNewVersion, useOffline } from './offline';

const Bar = styled.div`
  position: fixed;
  left: 14px;
  bottom: 12px;
  z-index: 40;
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 7px 12px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--lifted);
  @media ${PHONE} {
    left: 8px;
    right: 8px;
    bottom: calc(64px + env(safe-area-inset-bottom));
  }
  @media print {
    display: none;
  }
`;

const WAITS_WORDS = {
  newer: 'A newer version is here. What you have stays as it is.',
  earlier:
    'The server now has a version built earlier than this one. What you have stays as it is, whichever runs.',
} as const;

/** The room in hand comes first, ms. */
const AFTER_MS = 2000;

/** Keeps the program for working offline, and says when a newer one is here. */
export function OfflineKeeper() {
  const { waits, isOld } = useOffline();
  useEffect(() => {
    const timer = setTimeout(keepOffline, AFTER_MS);
    return () => clearTimeout(timer);
  }, []);
  if (!waits && !isOld) return null;
  return (
    <Bar role="status">
      {waits
        ? WAITS_WORDS[waits]
        : 'Another version was let in elsewhere; this page still runs the one before.'}
      <TextButton onPress={waits ? takeNewVersion : () => window.location.reload()}>
        {waits ? 'Change to it' : 'Load it'}
      </TextButton>
    </Bar>
  );
}
