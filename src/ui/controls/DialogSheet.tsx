'use client';
import { X } from 'lucide-react';
import { Dialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import styled from 'styled-components';
import { IconButton } from './Buttons';

const Shade = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  z-index: 50;
  display: grid;
  place-items: center;
  padding: 16px;
  background: color-mix(in srgb, var(--well) 72%, transparent);
`;

const Panel = styled(Modal)<{ $wide: boolean }>`
  width: min(${(p) => (p.$wide ? 880 : 560)}px, 100%);
  max-height: calc(100vh - 32px);
  overflow: auto;
  background: var(--ground);
  border: 1px solid var(--line);
  border-radius: 4px;
`;

const Body = styled(Dialog)`
  padding: 20px 22px;
  outline: none;
  display: grid;
  gap: 14px;
`;

const Title = styled(Heading)`
  font-size: 18px;
  font-weight: 650;
  line-height: 1.25;
  overflow-wrap: anywhere;
`;

const Head = styled.div`
  display: flex;
  justify-content: space-between;
  align-items: flex-start;
  gap: 10px;
`;

export const DialogActions = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  justify-content: flex-end;
`;

interface DialogSheetProps {
  title: string;
  open: boolean;
  /** For tables. */
  wide?: boolean;
  onClose: () => void;
  children: React.ReactNode;
}

/** Something to decide or to read before going on. */
export function DialogSheet({ title, open, wide = false, onClose, children }: DialogSheetProps) {
  return (
    <Shade
      isOpen={open}
      onOpenChange={(isOpen) => {
        if (!isOpen) onClose();
      }}
      isDismissable
    >
      <Panel $wide={wide}>
        <Body>
          <Head>
            <Title slot="title">{title}</Title>
            <IconButton label="Close" onPress={onClose}>
              <X size={16} aria-hidden="true" />
            </IconButton>
          </Head>
          {children}
        </Body>
      </Panel>
    </Shade>
  );
}
