'use client';
import { useRef, useState } from 'react';
import { Tooltip, TooltipTrigger } from 'react-aria-components';
import styled from 'styled-components';

const Bubble = styled(Tooltip)`
  max-width: min(420px, calc(100vw - 24px));
  padding: 5px 10px;
  background: var(--lifted);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  overflow-wrap: anywhere;
`;

/** Long enough that nothing flickers under a hand passing over. */
const DELAY_MS = 500;

interface WholeNameProps {
  words: string;
  /** A button with the name in it; `nameRef` goes on the element that may be too narrow for it. */
  children: (nameRef: React.RefObject<HTMLSpanElement | null>) => React.ReactElement;
}

/** Shows a name in whole under pointer and focus, where its place cuts it. */
export function WholeName({ words, children }: WholeNameProps) {
  const nameRef = useRef<HTMLSpanElement>(null);
  const [isOpen, setOpen] = useState(false);
  const isCut = () => {
    const name = nameRef.current;
    return name !== null && name.scrollWidth > name.clientWidth;
  };
  return (
    <TooltipTrigger
      delay={DELAY_MS}
      isOpen={isOpen}
      onOpenChange={(open) => setOpen(open && isCut())}
    >
      {children(nameRef)}
      <Bubble placement="bottom start">{words}</Bubble>
    </TooltipTrigger>
  );
}
