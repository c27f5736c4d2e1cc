'use client';
import { memo, useId } from 'react';
import styled from 'styled-components';
import type { Item, Page, PathItem } from '@/core/card/paper';

/* Paper is white by day and by night; a hair dimmer where all else is dark. */
const PageSvg = styled.svg`
  display: block;
  width: 100%;
  height: auto;
  background: #fff;
  outline: 1px solid var(--line);
  font-family: 'Archivo Variable', system-ui, sans-serif;
  font-stretch: 100%;
  :root[data-theme='dark'] & {
    background: #f3efe7;
  }
  @media print {
    outline: 0;
    :root & {
      background: #fff;
    }
  }
`;

const PathOf = ({ item }: { item: PathItem }) => (
  <path
    d={item.d}
    fill={item.fill ?? 'none'}
    stroke={item.stroke}
    strokeWidth={item.widthMm}
    strokeDasharray={item.dashMm?.join(' ')}
  />
);

function ItemOf({ item }: { item: Item }) {
  const id = useId();
  if (item.kind === 'path') return <PathOf item={item} />;
  if (item.kind === 'text')
    return (
      <text
        x={item.x}
        y={item.y}
        fontSize={item.sizeMm}
        fontWeight={item.weight === 'bold' ? 600 : 400}
        fill={item.ink}
        textLength={item.widthMm}
        lengthAdjust="spacingAndGlyphs"
        xmlSpace="preserve"
      >
        {item.text}
      </text>
    );
  const { x, y, width, height, items } = item;
  return (
    <>
      <clipPath id={id}>
        <rect x={x} y={y} width={width} height={height} />
      </clipPath>
      <g clipPath={`url(#${id})`}>
        {items.map((each, i) => (
          <PathOf key={i} item={each} />
        ))}
      </g>
    </>
  );
}

interface PaperPageProps {
  page: Page;
  /** "Page 1 of 2". */
  label: string;
}

/** A page as it goes to the printer and into the PDF: the very same things in the very same places. */
export const PaperPage = memo(function PaperPage({ page, label }: PaperPageProps) {
  return (
    <PageSvg
      role="group"
      aria-label={label}
      viewBox={`0 0 ${page.widthMm} ${page.heightMm}`}
      data-paper-page
    >
      {page.items.map((item, i) => (
        <ItemOf key={i} item={item} />
      ))}
    </PageSvg>
  );
});
