/** A thin door to paper: cards and day plans laid out, for the screen and as PDF. */
import { expose } from 'comlink';
import {
  codeOf,
  cardPaper,
  dayPaper,
  type CardWithCode,
  type Paper,
  type PaperSize,
  paperPdf,
  typesetter,
  type FontFiles,
  type Typesetter,
} from '@/core/card/paper';
import { dayPlan, type DayRig, rigCard } from '@/core/card';
import { packRig } from '@/core/exchange/links';
import type { Day } from '@/core/kit/records';
import type { Rig } from '@/core/rig';
import { PAPER_FONTS } from './paperFonts';

export interface PaperRequest {
  size: PaperSize;
  /** ISO date. */
  today: string;
  /** What a code's address begins with, up to its "#". */
  address: string;
  what:
    { kind: 'rig'; rig: Rig; note: string } | { kind: 'day'; day: Day; rigs: readonly DayRig[] };
}

export interface LaidPaper {
  paper: Paper;
  /** Rigs that are too large for a code, by name. */
  withoutCode: string[];
}

const read = (places: readonly URL[]): Promise<Uint8Array[]> =>
  Promise.all(
    places.map(async (place) => {
      const answer = await fetch(place);
      if (!answer.ok) throw new Error('A font of the paper could not be read.');
      return new Uint8Array(await answer.arrayBuffer());
    }),
  );

interface Type {
  fonts: FontFiles;
  type: Typesetter;
}

async function openType(): Promise<Type> {
  const fonts = { regular: await read(PAPER_FONTS.regular), bold: await read(PAPER_FONTS.bold) };
  return { fonts, type: typesetter(fonts) };
}

let opened: Promise<Type> | null = null;

/** Read once; a failure is forgotten, so that it can be tried again. */
function typeInHand(): Promise<Type> {
  opened ??= openType().catch((error: unknown) => {
    opened = null;
    throw error;
  });
  return opened;
}

async function laid({ size, today, address, what }: PaperRequest) {
  const { fonts, type } = await typeInHand();
  const withoutCode: string[] = [];
  const withCode = (rig: Rig, note: string): CardWithCode => {
    const code = codeOf(`${address}#${packRig(rig)}`);
    if (!code) withoutCode.push(rig.name);
    return { card: rigCard(rig, note, today), code };
  };
  const paper =
    what.kind === 'rig'
      ? cardPaper(size, type, withCode(what.rig, what.note), today)
      : dayPaper(
          size,
          type,
          {
            day: what.day,
            plan: dayPlan(what.rigs),
            cards: what.rigs.flatMap(({ rig, note }) => (rig ? [withCode(rig, note)] : [])),
          },
          today,
        );
  return { fonts, type, paper, withoutCode };
}

const paperDoor = {
  async lay(request: PaperRequest): Promise<LaidPaper> {
    const { paper, withoutCode } = await laid(request);
    return { paper, withoutCode };
  },
  async pdf(request: PaperRequest): Promise<Uint8Array<ArrayBuffer>> {
    const { paper, fonts, type } = await laid(request);
    return paperPdf(paper, fonts, type, request.today);
  },
};

export type PaperDoor = typeof paperDoor;

expose(paperDoor);
