'use client';
import { useId, useMemo } from 'react';
import styled from 'styled-components';
import { opticsOf, pathAt, type RayPath, type ConverterColumn } from '@/core/converters';
import { diagonalMm } from '@/core/optics';
import { fWords, mm, signed } from '@/core/words';
import { TextButton } from '@/ui/controls/Buttons';
import { engraved } from '@/ui/theme/type';
import { useSize } from '@/ui/useSize';
import { between, layOut, LENS_SHOWN_MM, points, ROOM, type Sheet } from './raySheet';
import type { Play } from './usePlay';

const Place = styled.figure`
  margin: 4px 0 10px;
`;

const Drawing = styled.svg`
  display: block;
  width: 100%;
  background: var(--well);
  border-radius: var(--radius);
  text {
    ${engraved}
    font-size: 12px;
    fill: var(--ink);
    paint-order: stroke;
    stroke: var(--well);
    stroke-width: 3px;
    stroke-linejoin: round;
  }
  .quiet {
    fill: var(--muted);
    font-weight: 500;
  }
  .light {
    fill: var(--amber);
    opacity: 0.2;
  }
  .edge {
    fill: var(--amber);
    opacity: 0.1;
  }
  .ray {
    fill: none;
    stroke: var(--amber);
    stroke-width: 1.25;
  }
`;

const Foot = styled.figcaption`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 12px;
  padding-top: 4px;
  color: var(--muted);
  label {
    display: flex;
    align-items: center;
    gap: 8px;
  }
  input {
    width: 160px;
    accent-color: var(--amber);
  }
`;

interface HalfProps {
  sheet: Sheet;
  path: RayPath;
  /** 1 above the axis, −1 below it. */
  sign: 1 | -1;
  clip: string;
  /** Half the diagonal of the delivered frame, mm. */
  frameMm: number;
}

/** The cones and the picture's plane on one side of the axis. */
function Half({ sheet, path, sign, clip, frameMm }: HalfProps) {
  const planeX = sheet.x(path.imageX);
  const end = sheet.y(path.haloMm * sign);
  return (
    <g>
      <g clipPath={`url(#${clip})`}>
        <polygon className="edge" points={between(sheet, path.edge, sign)} />
        <polygon className="light" points={between(sheet, path.axial, sign)} />
        {path.axial.map((ray, i) => (
          <polyline key={`a${i}`} className="ray" points={points(sheet, ray, sign)} />
        ))}
        {path.edge.map((ray, i) => (
          <polyline
            key={`e${i}`}
            className="ray"
            points={points(sheet, ray, sign)}
            opacity="0.6"
            strokeDasharray="3 3"
          />
        ))}
      </g>
      <line
        x1={planeX}
        x2={planeX}
        y1={sheet.y(0)}
        y2={sign > 0 ? ROOM.top - 8 : sheet.height - ROOM.bottom + 8}
        stroke="var(--muted)"
      />
      <line
        x1={planeX}
        x2={planeX}
        y1={sheet.y(0)}
        y2={end}
        stroke="var(--amber)"
        strokeWidth="4"
      />
      <line
        x1={planeX + 5}
        x2={planeX + 5}
        y1={sheet.y(0)}
        y2={sheet.y(frameMm * sign)}
        stroke="var(--ink)"
        strokeWidth="2"
      />
    </g>
  );
}

/** A converter as the thin lens it acts as: swelling where it gathers, waisted where it spreads. */
function GlassMark({
  sheet,
  x,
  focalMm,
  share,
}: {
  sheet: Sheet;
  x: number;
  focalMm: number;
  share: number;
}) {
  const top = sheet.y(0) + 2;
  const bottom = sheet.height - ROOM.bottom - 6;
  const px = sheet.x(x);
  const bulge = (focalMm > 0 ? 1 : -1) * 9 * share;
  const edge = focalMm > 0 ? 1.5 : 2 + 7 * share;
  const middle = (top + bottom) / 2;
  return (
    <path
      d={`M${px - edge} ${top}Q${px - edge - bulge} ${middle} ${px - edge} ${bottom}H${px + edge}Q${px + edge + bulge} ${middle} ${px + edge} ${top}Z`}
      fill="var(--raised)"
      fillOpacity="0.7"
      stroke="var(--ink)"
    />
  );
}

interface RayWordsProps {
  sheet: Sheet;
  bare: RayPath;
  converted: RayPath;
  full: RayPath;
  title: string;
  /** Diagonal of the delivered frame, mm. */
  frameMm: number;
  lensEnd: number;
}

/** What stands beside the drawing. */
function RayWords({ sheet, bare, converted, full, title, frameMm, lensEnd }: RayWordsProps) {
  const wordsX = sheet.x(Math.max(bare.imageX, full.imageX)) + 14;
  return (
    <>
      <text x={ROOM.left} y={14}>
        Bare
      </text>
      <text className="quiet" x={ROOM.left + 34} y={14}>
        cone {fWords(bare.fNumber, 1)}
      </text>
      <text x={ROOM.left} y={sheet.height - 8}>
        {title}
      </text>
      <text className="quiet" x={ROOM.left + 14 + title.length * 7} y={sheet.height - 8}>
        cone {fWords(converted.fNumber, 1)}
      </text>
      <text className="quiet" x={lensEnd - 4} y={sheet.y(0) - 5} textAnchor="end">
        lens
      </text>
      <text x={wordsX} y={sheet.y(0) - 22}>
        ⌀ {mm(bare.haloMm * 2)}
      </text>
      <text className="quiet" x={wordsX} y={sheet.y(0) - 7}>
        frame ⌀ {mm(frameMm)}
      </text>
      <text x={wordsX} y={sheet.y(0) + 18}>
        ⌀ {mm(converted.haloMm * 2)}
      </text>
      <text className="quiet" x={wordsX} y={sheet.y(0) + 33}>
        picture {signed(converted.imageX, 1)} mm
      </text>
    </>
  );
}

/** Moves between the two, by itself or by hand. */
function PlayFoot({ play }: { play: Play }) {
  return (
    <Foot>
      <TextButton onPress={play.play}>
        {play.share > 0.5 ? 'Play to bare' : 'Play to converted'}
      </TextButton>
      <label>
        bare
        <input
          type="range"
          min={0}
          max={100}
          value={Math.round(play.share * 100)}
          aria-label="Between bare and converted"
          aria-valuetext={`${Math.round(play.share * 100)} % of the converter’s power`}
          onChange={(event) => play.move(Number(event.target.value) / 100)}
        />
        converted
      </label>
      <span>
        To scale: the halo to half light, and beside it half the frame’s diagonal. The entrance
        pupil stays where it is, and with it blur and depth on the subject.
      </span>
    </Foot>
  );
}

interface RayDrawingProps {
  base: ConverterColumn;
  column: ConverterColumn;
  play: Play;
}

/** The light to scale: bare above the axis, converted below it. */
export function RayDrawing({ base, column, play }: RayDrawingProps) {
  const id = useId();
  const [place, { width }] = useSize<HTMLDivElement>();
  const optics = useMemo(() => opticsOf(column.rig), [column.rig]);
  if (!optics || optics.glass.length === 0)
    return (
      <Place>
        <Foot>
          {optics
            ? 'This glass stands before the lens: its picture lies where it did.'
            : 'Where this converter stands cannot be drawn: a register is not known, or its factor and thickness cannot belong to one thin lens.'}
        </Foot>
      </Place>
    );
  const bare = pathAt(optics, 0);
  const converted = pathAt(optics, play.share);
  const full = pathAt(optics, 1);
  const sheet = layOut(optics, bare, full, Math.max(300, width));
  const halfOf = (c: ConverterColumn) => diagonalMm(c.report.frame.delivered) / 2;
  const { glass } = optics;
  return (
    <Place>
      <div ref={place}>
        <Drawing
          height={sheet.height}
          viewBox={`0 0 ${sheet.width} ${sheet.height}`}
          role="img"
          aria-label={`Rays to scale. Bare: the halo is ${mm(bare.haloMm * 2)} wide, the cone ${fWords(bare.fNumber, 1)}. Behind ${column.title}: ${mm(full.haloMm * 2)}, ${fWords(full.fNumber, 1)}, the picture ${mm(Math.abs(full.imageX))} ${full.imageX > 0 ? 'farther from' : 'nearer to'} the lens.`}
        >
          <clipPath id={`${id}-up`}>
            <rect x="0" y="0" width={sheet.width} height={sheet.y(0)} />
          </clipPath>
          <clipPath id={`${id}-down`}>
            <rect x="0" y={sheet.y(0)} width={sheet.width} height={sheet.height} />
          </clipPath>
          <rect
            x={sheet.x(optics.startX - LENS_SHOWN_MM)}
            y={ROOM.top}
            width={LENS_SHOWN_MM * sheet.scale}
            height={sheet.height - ROOM.top - ROOM.bottom}
            fill="var(--raised)"
            stroke="var(--line)"
          />
          <line x1="0" x2={sheet.width} y1={sheet.y(0)} y2={sheet.y(0)} stroke="var(--line)" />
          <Half sheet={sheet} path={bare} sign={1} clip={`${id}-up`} frameMm={halfOf(base)} />
          <Half
            sheet={sheet}
            path={converted}
            sign={-1}
            clip={`${id}-down`}
            frameMm={halfOf(column)}
          />
          {glass.map((g) => (
            <GlassMark key={g.x} sheet={sheet} x={g.x} focalMm={g.focalMm} share={play.share} />
          ))}
          <RayWords
            sheet={sheet}
            bare={bare}
            converted={converted}
            full={full}
            title={column.title}
            frameMm={halfOf(base) * 2}
            lensEnd={sheet.x(optics.startX)}
          />
        </Drawing>
      </div>
      <PlayFoot play={play} />
    </Place>
  );
}
