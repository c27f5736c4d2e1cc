/** A sweep's sheet as files. */
import { AXIS_WORDS, type SweepStep, type SweepCell } from '@/core/sweep';
import { verdictPaths, verdictWords } from '@/core/frame';
import { escapedMarkup } from '@/core/words';
import type { Theme } from '@/ui/theme/themeScript';
import { FIGURE_PX, frameBox, HEAD_PX, matrixLayout } from './matrixLayout';
import { cellLight, type CellLight, SAMPLES } from './paintCells';
import { lightColour, roundLight } from '@/ui/stage/haloPaint';
import { pointsPath } from '@/ui/stage/outlinePath';
import { lightRings } from '@/core/halo';

/** Colours as they stand in the page, for a file that has no page. */
export interface Inks {
  ground: string;
  ink: string;
  muted: string;
  verdicts: Readonly<Record<'Clear' | 'Shaded' | 'Clipped' | 'Keyhole', string>>;
}

export function inksOfPage(): Inks {
  const style = getComputedStyle(document.documentElement);
  const of = (name: string) => style.getPropertyValue(name).trim();
  return {
    ground: of('--ground'),
    ink: of('--ink'),
    muted: of('--muted'),
    verdicts: {
      Clear: of('--clear'),
      Shaded: of('--shaded'),
      Clipped: of('--clipped'),
      Keyhole: of('--keyhole'),
    },
  };
}

export interface SheetOfCells {
  title: string;
  rows: readonly SweepStep[];
  columns: readonly SweepStep[];
  cells: readonly SweepCell[];
}

const TITLE_PX = 34;
const MARGIN_PX = 14;
const PICTURE_PX = 1100;

/** A frame's light as SVG: a gradient of a round halo, outlines one upon the other where ways differ. */
function lightSvg({ box, halo, place }: CellLight, id: string, theme: Theme): string {
  const rect = `x="${box.x}" y="${box.y}" width="${box.w}" height="${box.h}"`;
  const rings = lightRings(halo, SAMPLES);
  if (rings) {
    const paths = rings.map(
      ({ points, light }) =>
        `<path d="${pointsPath(points, place)}" fill="${lightColour(light, theme)}"/>`,
    );
    return `<clipPath id="${id}"><rect ${rect}/></clipPath><g clip-path="url(#${id})"><rect ${rect} fill="${lightColour(0, theme)}"/>${paths.join('')}</g>`;
  }
  const colourOf = (of: number): string => lightColour(of, theme);
  const { reachMm, stops: told } = roundLight(halo, place.farthestMm, colourOf, SAMPLES);
  const stops = told.map(
    ({ share, colour }) => `<stop offset="${share.toFixed(4)}" stop-color="${colour}"/>`,
  );
  return `<radialGradient id="${id}" gradientUnits="userSpaceOnUse" cx="${place.xPx}" cy="${place.yPx}" r="${reachMm * place.pxPerMm}">${stops.join('')}</radialGradient><rect ${rect} fill="url(#${id})"/>`;
}

/** The sheet as an SVG picture that stands alone: frames, halos, verdicts by shape, and their words. */
export function sweepSvg(sheet: SheetOfCells, inks: Inks, theme: Theme): string {
  const { rows, columns, cells } = sheet;
  const layout = matrixLayout(cells, rows.length, columns.length, {
    availablePx: PICTURE_PX,
    labelPx: 96,
    showFigures: true,
  });
  const width = layout.widthPx + 2 * MARGIN_PX;
  const height = layout.heightPx + HEAD_PX + TITLE_PX + 2 * MARGIN_PX;
  const text = (x: number, y: number, words: string, anchor = 'middle', fill = inks.muted) =>
    `<text x="${x}" y="${y}" text-anchor="${anchor}" fill="${fill}" font-size="12">${escapedMarkup(words)}</text>`;
  const heads = columns.map((step, i) =>
    text(layout.labelPx + (i + 0.5) * layout.columnPx, HEAD_PX - 8, step.label),
  );
  const names = rows.map((step, i) =>
    text(0, HEAD_PX + (i + 0.5) * layout.rowPx - FIGURE_PX / 2 + 4, step.label, 'start'),
  );
  const frames = cells.map((cell, i) => {
    const [row, column] = [Math.floor(i / columns.length), i % columns.length];
    const box = frameBox(cell, row, column, layout);
    const below = box.y + box.h + 12;
    const middle = box.x + box.w / 2;
    if (cell.verdict === null) return text(middle, box.y + box.h / 2, '–');
    const light = cellLight(cell, [row, column], layout);
    const shone = light ? lightSvg(light, `halo-${i}`, theme) : '';
    const outline = verdictPaths(cell.verdict, box).map(
      ({ d, kind, isDotted }) =>
        `<path d="${d}" fill="none" stroke="${inks.verdicts[kind]}" stroke-width="1.6"${isDotted ? ' stroke-dasharray="1.6 1.8"' : ''}/>`,
    );
    return `${shone}${outline.join('')}${text(middle, below, verdictWords(cell.verdict))}`;
  });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}" font-family="Archivo, Helvetica, Arial, sans-serif">`,
    `<rect width="${width}" height="${height}" fill="${inks.ground}"/>`,
    `<g transform="translate(${MARGIN_PX} ${MARGIN_PX})">`,
    `<text y="16" fill="${inks.ink}" font-size="15" font-weight="650">${escapedMarkup(sheet.title)}</text>`,
    `<g transform="translate(0 ${TITLE_PX})">`,
    ...heads,
    ...names,
    `<g transform="translate(0 ${HEAD_PX})">`,
    ...frames,
    '</g></g></g></svg>',
  ].join('\n');
}

/** What the sheet is about, for its heading. */
export const sheetTitle = (
  name: string,
  axes: { rows: keyof typeof AXIS_WORDS; columns: keyof typeof AXIS_WORDS },
): string => `${name}: ${AXIS_WORDS[axes.rows]} down, ${AXIS_WORDS[axes.columns]} across`;
