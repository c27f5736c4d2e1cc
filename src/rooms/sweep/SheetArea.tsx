'use client';
import dynamic from 'next/dynamic';
import { useMemo } from 'react';
import styled from 'styled-components';
import type { Rig } from '@/core/rig';
import type { SweepCell } from '@/core/sweep';
import { PHONE } from '@/ui/theme/type';
import type { Swept } from '@/workers/sweep.worker';
import { Matrix, type Place } from './Matrix';
import { matrixLayout, type MatrixLayout } from './matrixLayout';
import type { InHand, Sheets } from './useSheets';
import type { Axes } from './useSweep';

const CurvePlace = styled.div`
  height: 176px;
`;

const CurveChart = dynamic(() => import('./CurveChart'), {
  ssr: false,
  loading: () => <CurvePlace />,
});

const Across = styled.div`
  @media ${PHONE} {
    overflow-x: auto;
  }
`;

const SheetName = styled.h2`
  margin: 10px 0 4px;
  font-size: 13px;
  font-weight: 650;
  color: var(--muted);
`;

interface CurveProps {
  swept: Swept | null;
  axes: Axes;
  sheets: Sheets;
  layout: MatrixLayout;
  otherName: string;
  /** The rig the curve is of. */
  asked: Rig;
}

/** The curve over the sheet's own columns where they are what it runs along, else over the same width. */
function Curve({ swept, axes, sheets, layout, otherName, asked }: CurveProps) {
  if (!swept) return <CurvePlace />;
  const { curve, otherCurve } = swept;
  const shares = axes.columns === curve.along && sheets.columns.length > 1;
  const ends = shares ? sheets.columns.map((c) => c.value) : curve.points.map((p) => p.at);
  const [from, to] = [ends[0] ?? 1, ends.at(-1) ?? 1];
  const at = curve.along === 'focal' ? asked.settings.focalMm : asked.settings.fNumber;
  const half = shares ? layout.columnPx / 2 : 0;
  return (
    <CurveChart
      curve={curve}
      other={otherCurve}
      otherName={otherName}
      leftPx={layout.labelPx + half}
      rightPx={half}
      from={from}
      to={to}
      at={at >= from && at <= to ? at : null}
    />
  );
}

const LABEL_PX = { roomy: 84, phone: 66 };
/** Narrower than this is a phone, px. */
const PHONE_PX = 700;

export const isNarrow = (widthPx: number): boolean => widthPx > 0 && widthPx < PHONE_PX;

interface SheetAreaProps extends Omit<CurveProps, 'layout'> {
  widthPx: number;
  showFigures: boolean;
  inHand: InHand;
  onOpen: (at: Place, isOther: boolean) => void;
}

/** The curve, and under it the sheet of frames and the one it is held against. */
export function SheetArea(props: SheetAreaProps) {
  const { sheets, widthPx, showFigures, inHand, onOpen, otherName } = props;
  const { rows, columns, cells, otherCells } = sheets;
  const layout = useMemo(
    () =>
      matrixLayout([...cells, ...(otherCells ?? [])], rows.length, columns.length, {
        availablePx: widthPx,
        labelPx: isNarrow(widthPx) ? LABEL_PX.phone : LABEL_PX.roomy,
        showFigures,
      }),
    [cells, otherCells, rows.length, columns.length, widthPx, showFigures],
  );
  const sheetOf = (isOther: boolean, of: readonly SweepCell[]) => (
    <Matrix
      label={isOther ? `The sheet of ${otherName}` : 'The sheet'}
      rows={rows}
      columns={columns}
      cells={of}
      layout={layout}
      chosen={inHand.isOther === isOther ? inHand.at : null}
      onChoose={(at) => inHand.take(at, isOther)}
      onOpen={(at) => onOpen(at, isOther)}
    />
  );
  return (
    <Across>
      <div style={{ width: Math.max(layout.widthPx, 260) }}>
        <Curve {...props} layout={layout} />
        {sheetOf(false, cells)}
        {otherCells && (
          <>
            <SheetName>{otherName}</SheetName>
            {sheetOf(true, otherCells)}
          </>
        )}
      </div>
    </Across>
  );
}
