/** Whether a rig covers, as rows of words. */
import { cleanMegapixels, isMoving } from '@/core/frame';
import type { Report } from '@/core/rig/report';
import {
  cornerWords,
  darknessWords,
  isBlack,
  diameterMm,
  fixed,
  megapixels,
  percent,
  scaleUpWords,
  signed,
  sizeMm,
} from '@/core/words';
import type { ReadingRow } from './readingRow';

export function coverRows({ verdict, coverage, frame, native }: Report): ReadingRow[] {
  const clean = coverage.cleanFrame.concentric;
  const moving = isMoving(frame.travel);
  const still = coverage.atRestStops;
  return [
    {
      name: 'Darkest corner',
      figure: darknessWords(verdict.worstCornerStops, 2),
      note: moving && !isBlack(still) ? `at rest ${cornerWords(still)}` : undefined,
      reading: 'corners',
    },
    {
      name: 'Halo',
      figure: diameterMm(coverage.radiiMm.half, 1),
      note: `black ⌀ ${fixed(coverage.radiiMm.black * 2, 1)}`,
      reading: 'halo',
    },
    {
      name: 'Native lenses',
      figure: `−${fixed(native.betterQuarter, 1)} to −${fixed(native.worseQuarter, 1)}`,
      note: 'is usual',
      reading: 'native',
    },
    {
      name: 'Margin',
      figure: `${signed(coverage.acceptedMarginMm, 1)} mm`,
      note: `${shareWords(coverage.areaShare)} accepted`,
      reading: 'margin',
    },
    {
      name: 'Clean frame',
      figure: clean.widthMm > 0 ? sizeMm(clean) : 'none',
      note: clean.widthMm > 0 ? megapixels(cleanMegapixels(frame.delivered, clean)) : undefined,
      reading: 'cleanFrame',
    },
    {
      name: 'Scale up in post',
      figure: coverage.scaleUp === null ? 'no use' : scaleWords(coverage.scaleUp),
      reading: 'scaleUp',
    },
    ...(coverage.definitionMarginMm === null
      ? []
      : [
          {
            name: 'Definition',
            figure: `${signed(coverage.definitionMarginMm, 1)} mm`,
            note: 'to its circle',
            reading: 'margin' as const,
          },
        ]),
  ];
}

/** A share of the frame; only the whole of it is 100 %. */
const shareWords = (share: number): string =>
  share >= 1 ? percent(1, 0) : percent(Math.min(share, 0.999), 1);

/** Megapixels that fall in the clean frame. */
const scaleWords = (p: number): string => (p === 1 ? 'not needed' : scaleUpWords(p));
