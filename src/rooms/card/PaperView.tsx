'use client';
import { createGlobalStyle, styled } from 'styled-components';
import { PAPERS, type PaperSize } from '@/core/card/paper';
import { EmptyPlace } from '@/ui/controls/EmptyPlace';
import { PaperPage } from '@/ui/paper/PaperPage';
import { PHONE } from '@/ui/theme/type';
import type { PaperInHand } from './usePaper';

const Pages = styled.div<{ $small: boolean }>`
  display: grid;
  grid-template-columns: repeat(
    auto-fit,
    minmax(${(p) => (p.$small ? 330 : 460)}px, ${(p) => (p.$small ? 430 : 640)}px)
  );
  gap: 14px;
  justify-content: center;
  padding-bottom: 8px;
  @media ${PHONE} {
    grid-template-columns: minmax(0, 1fr);
  }
`;

/** On paper stands the paper alone, one page a sheet. */
const PrintSheet = createGlobalStyle<{ $size: PaperSize }>`
  @media print {
    @page {
      size: ${(p) => `${PAPERS[p.$size].widthMm}mm ${PAPERS[p.$size].heightMm}mm`};
      margin: 0;
    }
    html, body { background: #fff; }
    body * { visibility: hidden; }
    [data-paper], [data-paper] * { visibility: visible; }
    [data-paper] {
      position: absolute;
      inset: 0 auto auto 0;
      display: block;
      padding: 0;
      width: ${(p) => PAPERS[p.$size].widthMm}mm;
    }
    [data-paper-page] {
      width: ${(p) => PAPERS[p.$size].widthMm}mm;
      height: ${(p) => PAPERS[p.$size].heightMm}mm;
      break-after: page;
      break-inside: avoid;
    }
  }
`;

interface PaperViewProps {
  paper: PaperInHand;
  size: PaperSize;
}

/** The pages, as they will be printed. */
export function PaperView({ paper: { laid, trouble }, size }: PaperViewProps) {
  if (!laid)
    return (
      <EmptyPlace as="div" role="status">
        <p>{trouble ?? 'Laying out the card…'}</p>
      </EmptyPlace>
    );
  const { pages } = laid.paper;
  return (
    <>
      <PrintSheet $size={size} />
      {trouble !== null && <p role="alert">{trouble}</p>}
      <Pages $small={size === 'A6'} data-paper>
        {pages.map((page, i) => (
          <PaperPage key={i} page={page} label={`Page ${i + 1} of ${pages.length}`} />
        ))}
      </Pages>
    </>
  );
}
