'use client';
import styled from 'styled-components';
import {
  basisWords,
  type ConverterColumn,
  techniquesFor,
  type WeighingVerdict,
} from '@/core/converters';
import type { DepthBasis, InFocus } from '@/core/optics';
import { times, inFocusWords } from '@/core/words';
import { RoomSide, SideNote } from '@/ui/controls/roomLayout';
import { engraved } from '@/ui/theme/type';

const Because = styled.p`
  margin-top: 6px;
  font-size: 15px;
  line-height: 1.35;
`;

const Basis = styled.div`
  padding: 6px 0 8px;
  border-bottom: 1px solid var(--line);
  header {
    display: flex;
    justify-content: space-between;
    gap: 10px;
    font-weight: 600;
    b {
      ${engraved}
    }
  }
  p {
    color: var(--muted);
    font-size: 12px;
    line-height: 1.35;
  }
  svg {
    display: block;
    width: 100%;
    height: 40px;
    margin: 4px 0 2px;
    overflow: visible;
  }
  text {
    ${engraved}
    font-size: 11px;
    fill: var(--muted);
  }
`;

const Note = styled.li`
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
  span {
    display: block;
    color: var(--muted);
    font-size: 12px;
  }
`;

/** Ends of the drawing as shares of the distances that are drawn. */
const AROUND = 1.12;
const NO_END = 1.35;

/** What is in focus with the part and without it, on one scale of distances. */
function DepthDrawing({ basis }: { basis: DepthBasis }) {
  const { withPart, bareLens } = basis;
  const ends = [withPart, bareLens].flatMap((d) => [d.nearM, d.farM ?? d.nearM * NO_END]);
  const [least, most] = [Math.min(...ends) / AROUND, Math.max(...ends) * AROUND];
  const at = (m: number) => (Math.log(m / least) / Math.log(most / least)) * 100;
  const bar = ({ nearM, focusM, farM }: InFocus, y: number, fill: string, label: string) => (
    <g>
      <rect
        x={`${at(nearM)}%`}
        width={`${Math.max(0.6, (farM === null ? 100 : at(farM)) - at(nearM))}%`}
        y={y}
        height="9"
        fill={fill}
      />
      <text x={`${at(nearM)}%`} dx="-5" y={y + 9} textAnchor="end">
        {label}
      </text>
      <text x={`${farM === null ? 100 : at(farM)}%`} dx="5" y={y + 9}>
        {inFocusWords({ nearM, focusM, farM })}
      </text>
    </g>
  );
  return (
    <svg aria-hidden="true">
      <svg x="34%" width="42%" style={{ overflow: 'visible' }}>
        {bar(bareLens, 4, 'var(--muted)', 'bare')}
        {bar(withPart, 22, 'var(--amber)', 'with')}
      </svg>
    </svg>
  );
}

interface VerdictPanelProps {
  base: ConverterColumn;
  column: ConverterColumn | null;
  crop: ConverterColumn | null;
  verdict: WeighingVerdict | null;
}

/** Converter, crop, or a step closer; depth on three bases; what to do where sharpness is lost. */
export function VerdictPanel({ base, column, crop, verdict }: VerdictPanelProps) {
  const inHand = column ?? base;
  const { depthBases } = inHand.report.picture;
  const notes = techniquesFor(inHand);
  return (
    <RoomSide aria-label="What to use" tabIndex={0}>
      <h2 data-testid="weighing">{verdict?.headline ?? 'Nothing to weigh'}</h2>
      {verdict && <Because>{verdict.because}</Because>}
      {verdict?.field && <SideNote>{verdict.field}</SideNote>}
      {verdict?.steps && <SideNote>{verdict.steps}</SideNote>}
      {verdict && <SideNote>{verdict.sure}</SideNote>}
      {crop && (
        <SideNote>
          The crop to the same view has as many pixels on the subject as the bare lens, and the same
          noise as the converter but for what its glass takes.
        </SideNote>
      )}
      <h3>Depth of field, on three bases</h3>
      {depthBases.length === 0 ? (
        <SideNote>
          {inHand.rig.settings.focusM === null
            ? 'At infinity there is no subject to compare: focus nearer to see the three bases.'
            : 'Nothing behind the lens magnifies here.'}
        </SideNote>
      ) : (
        depthBases.map((basis) => {
          const { title, sentence } = basisWords(inHand, basis);
          return (
            <Basis key={basis.basis}>
              <header>
                <span>{title}</span>
                <b>{basis.ratio === null ? 'endless' : times(basis.ratio)}</b>
              </header>
              <DepthDrawing basis={basis} />
              <p>{sentence}</p>
            </Basis>
          );
        })
      )}
      {notes.length > 0 && (
        <>
          <h3>Where sharpness is lost</h3>
          <ul>
            {notes.map(({ id, words, because }) => (
              <Note key={id}>
                {words}
                <span>{because} Common practice.</span>
              </Note>
            ))}
          </ul>
        </>
      )}
    </RoomSide>
  );
}
