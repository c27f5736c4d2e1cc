/** A pile of pages that is filled from the top: what does not fit goes on the next page, whole. */
import {
  INKS,
  linePath,
  PAPERS,
  type Item,
  type Page,
  type Paper,
  type PaperSize,
  type Weight,
} from './paper';
import type { Typesetter } from './typeset';

/** Type and gaps on A6; larger paper has larger type, to be read from farther away. */
const SCALE: Readonly<Record<PaperSize, number>> = { A6: 1, A4: 1.32, letter: 1.26 };
const MARGIN = 6;
const FOOT = 6;
const LEADING = 1.26;

interface TextStyle {
  size: number;
  weight?: Weight;
  ink?: string;
  /** Line to line, in sizes of the type. */
  leading?: number;
}

export interface Sheet {
  /** Units of A6's mm on this paper. */
  k: number;
  left: number;
  width: number;
  /** Where the next thing goes, mm from the top. */
  y: number;
  /** How much room is left on this page, mm. */
  room: () => number;
  /** How much there is on an empty one, mm. */
  whole: number;
  newPage: () => void;
  /** Goes to the next page where less than `height` is left. */
  need: (height: number) => void;
  put: (...items: Item[]) => void;
  /** Sets text at a place in one column; answers the height it takes. Nothing of it is cut. */
  text: (
    text: string,
    style: TextStyle,
    at: { x: number; y: number; width: number; right?: boolean; centred?: boolean },
  ) => number;
  /** Sets text over the whole width, line by line on to the next page where it must. */
  flow: (text: string, style: TextStyle, indent?: number) => void;
  /** How high it would be. */
  height: (text: string, style: TextStyle, width: number) => number;
  rule: () => void;
  done: (title: string, foot: string) => Paper;
}

/** The line at the foot of a page, and which page it is. */
function footItems(
  { heightMm }: Page,
  { k, left, width }: Pick<Sheet, 'k' | 'left' | 'width'>,
  type: Typesetter,
  [foot, count]: readonly [string, string],
): Item[] {
  const sizeMm = 1.9 * k;
  const itemAt = (x: number, text: string): Item => ({
    kind: 'text',
    x,
    y: heightMm - MARGIN * k,
    text,
    sizeMm,
    weight: 'regular',
    ink: INKS.muted,
    widthMm: type.width(text, 'regular') * sizeMm,
  });
  const countMm = type.width(count, 'regular') * sizeMm;
  const [line = ''] = type.lines(type.plain(foot), 'regular', (width - countMm) / sizeMm - 1);
  return [itemAt(left, line), ...(count ? [itemAt(left + width - countMm, count)] : [])];
}

export function sheetOf(size: PaperSize, type: Typesetter): Sheet {
  const { widthMm, heightMm } = PAPERS[size];
  const k = SCALE[size];
  const margin = MARGIN * k;
  const bottom = heightMm - margin - FOOT * k;
  const missing = new Set<string>();
  const pages: Page[] = [{ widthMm, heightMm, items: [] }];
  const page = (): Page => pages[pages.length - 1] as Page;
  const linesOf = (text: string, { size: s, weight = 'regular' }: TextStyle, width: number) =>
    type.lines(type.plain(text, missing), weight, width / (s * k));
  const sheet: Sheet = {
    k,
    left: margin,
    width: widthMm - 2 * margin,
    y: margin,
    room: () => bottom - sheet.y,
    whole: bottom - margin,
    newPage: () => {
      pages.push({ widthMm, heightMm, items: [] });
      sheet.y = margin;
    },
    need: (height) => {
      if (height > sheet.room() && sheet.y > margin) sheet.newPage();
    },
    put: (...items) => {
      page().items.push(...items);
    },
    text: (text, style, { x, y, width, right = false, centred = false }) => {
      const { size: s, weight = 'regular', ink = INKS.ink, leading = LEADING } = style;
      const sizeMm = s * k;
      const lines = linesOf(text, style, width);
      lines.forEach((line, i) => {
        const lineMm = type.width(line, weight) * sizeMm;
        sheet.put({
          kind: 'text',
          x: x + (right ? width - lineMm : centred ? (width - lineMm) / 2 : 0),
          y: y + sizeMm * (0.8 + i * leading),
          text: line,
          sizeMm,
          weight,
          ink,
          widthMm: lineMm,
        });
      });
      return lines.length * sizeMm * leading;
    },
    flow: (text, style, indent = 0) => {
      const width = sheet.width - indent;
      for (const line of linesOf(text, style, width)) {
        sheet.need(style.size * k * (style.leading ?? LEADING));
        sheet.y += sheet.text(line, style, { x: sheet.left + indent, y: sheet.y, width });
      }
    },
    height: (text, style, width) =>
      linesOf(text, style, width).length * style.size * k * (style.leading ?? LEADING),
    rule: () => {
      sheet.put({
        kind: 'path',
        d: linePath(sheet.left, sheet.y, sheet.left + sheet.width, sheet.y),
        stroke: INKS.line,
        widthMm: 0.15 * k,
      });
      sheet.y += 1.6 * k;
    },
    done: (title, foot) => {
      pages.forEach((each, i) => {
        const count = pages.length > 1 ? `${i + 1} of ${pages.length}` : '';
        each.items.push(...footItems(each, sheet, type, [foot, count]));
      });
      return { title: type.plain(title), pages, missing: [...missing] };
    },
  };
  return sheet;
}
