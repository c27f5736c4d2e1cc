/** The readings of a report as rows of words, grouped as people ask. */
import { sampledWords } from '@/core/rig/readings';
import { ELECTRONIC_SHUTTER } from '@/core/optics';
import { type Report, AUTOFOCUS_WORDS } from '@/core/rig/report';
import type { Rig } from '@/core/rig';
import type { Reading } from '@/core/rig/readings';
import {
  flickerFigure,
  fWords,
  fixed,
  lpMm,
  megapixels,
  mm,
  percent,
  shutterLimitWords,
  shutterWords,
  signed,
  sizeMm,
  tWords,
  times,
  inFocusWords,
} from '@/core/words';
import { coverRows } from './coverRows';
import { fitRows } from './fitRows';
import type { ReadingRow } from './readingRow';
import { isMoving } from '@/core/frame';

type GroupId = 'cover' | 'become' | 'set' | 'left' | 'picture' | 'fit';

export interface ReadingGroup {
  id: GroupId;
  title: string;
  rows: ReadingRow[];
  /** Said in its heading while it is folded. */
  summary?: string;
}

function becomeRows({ optics }: Report): ReadingRow[] {
  const { train, equivalents: equal, view } = optics;
  const custom = train.customaryStops;
  const rows: ReadingRow[] = [
    {
      name: 'Focal length',
      figure: mm(train.focalMm),
      note: `${fixed(equal.focalMm, 1)} eq · ${equal.basis}`,
      reading: 'focal',
    },
    {
      name: 'Aperture',
      figure: fWords(train.fNumber),
      note: `prints ${optics.printsAs.map((p) => p.slice(2)).join(' or ')} · ${fWords(equal.fNumber, 1)} eq`,
      reading: 'aperture',
    },
    {
      name: 'Light',
      figure: `${signed(train.lightStops, 2)} stop${Math.abs(train.lightStops) < 1.005 ? '' : 's'}`,
      note: lightNote(optics.isoFactor, custom, optics.customDisagrees),
      reading: 'light',
    },
    {
      name: 'View',
      figure: `${fixed(view.horizontal, 1)}° × ${fixed(view.vertical, 1)}°`,
      note: `${fixed(view.diagonal, 0)}° across`,
      reading: 'view',
    },
  ];
  if (train.tStop !== null) {
    rows.splice(2, 0, { name: 'T-stop', figure: tWords(train.tStop), reading: 'tStop' });
  }
  return rows;
}

function lightNote(isoFactor: number, custom: number | null, disagrees: boolean): string {
  if (disagrees && custom !== null) return `said to be ${signed(custom, 1)}`;
  if (Math.abs(isoFactor - 1) < 0.005) return 'nothing in the way';
  return isoFactor < 1 ? `ISO ÷ ${fixed(1 / isoFactor, 2)}` : `ISO ${times(isoFactor)}`;
}

function leftRows(rig: Rig, { frame, optics, sharpness, wander }: Report): ReadingRow[] {
  const { delivered } = frame;
  const rows: ReadingRow[] = [
    {
      name: 'Delivered',
      figure: sizeMm(delivered),
      note: delivered.linearCrop > 1.0005 ? `crop ×${fixed(delivered.linearCrop, 2)}` : undefined,
      reading: 'frame',
    },
    {
      name: 'Pixels',
      figure: megapixels(delivered.megapixels),
      note: rig.mode.use === 'stills' ? undefined : sampledWords(rig.mode, delivered),
      reading: 'frame',
    },
    {
      name: 'Crop factor',
      figure: fixed(optics.equivalents.cropFactor, 2),
      note: `${signed(optics.equivalents.totalLightStops, 1)} stops total light`,
      reading: 'equivalents',
    },
    {
      name: 'Detail',
      figure: lpMm(sharpness.system),
      note: sharpness.evidence === 'own figure' ? undefined : 'class of lens',
      reading: 'detail',
    },
  ];
  if (isMoving(frame.travel)) {
    rows.push({
      name: 'Corner flicker',
      figure: flickerFigure(wander.flickerStops),
      note: 'over the travel',
      reading: 'flicker',
    });
  }
  const { leftMm, rightMm, upMm, downMm } = wander.shiftBudget;
  rows.push({
    name: 'Shift left over',
    figure: `${signed(Math.min(leftMm, rightMm), 1)} · ${signed(Math.min(upMm, downMm), 1)} mm`,
    note: 'across · up',
    reading: 'shift',
  });
  return rows;
}

function setRows({ steady, autofocus }: Report): ReadingRow[] {
  const rows: ReadingRow[] = [
    {
      name: 'Stabiliser',
      figure: mm(steady.enterFocalMm),
      note:
        steady.zoomWarning !== null
          ? 'anew after zooming'
          : steady.menuFocalMm === null
            ? undefined
            : `menu ${steady.menuFocalMm}`,
      reading: 'stabiliser',
    },
    {
      name: 'By hand',
      figure: shutterLimitWords(steady.handHeldSeconds),
      note: 'or shorter',
      reading: 'handHeld',
    },
    {
      name: 'Autofocus',
      figure: AUTOFOCUS_WORDS[autofocus.state],
      note:
        autofocus.points === null || autofocus.points === 0
          ? undefined
          : `${autofocus.points} points`,
      reading: 'autofocus',
    },
  ];
  if (steady.shutterAdvice !== null) {
    rows.push({
      name: 'Shutter',
      figure: shutterWords(ELECTRONIC_SHUTTER.enough),
      note: `or shorter; ${shutterWords(ELECTRONIC_SHUTTER.better)} better`,
      reading: 'shutter',
    });
  }
  return rows;
}

function pictureRows({ picture }: Report): ReadingRow[] {
  const { depth, blur, zones } = picture;
  const far = blur.find((b) => b.behindM === null);
  const near = blur.find((b) => b.behindM === 3);
  return [
    {
      name: 'In focus',
      figure: inFocusWords(depth),
      reading: 'depth',
    },
    {
      name: 'Far lights',
      figure: far ? percent(far.share) : 'points',
      note: near ? `of frame height; ${percent(near.share)} at 3 m behind` : undefined,
      reading: 'blur',
    },
    {
      name: 'Edge of the halo',
      figure: percent(zones.edge, 0),
      note: `middle ${percent(zones.middle, 0)}`,
      reading: 'zones',
    },
  ];
}

/** The figures of some readings, said in the heading of a folded group. */
const rowSummary = (rows: readonly ReadingRow[], ...readings: Reading[]): string =>
  rows
    .filter((r) => readings.includes(r.reading))
    .map((r) => r.figure)
    .join(' · ');

/** All readings of a report, whether it covers first. */
export function readingGroups(rig: Rig, report: Report): [cover: ReadingGroup, ...ReadingGroup[]] {
  const become = becomeRows(report);
  const [set, left, picture, fit] = [
    setRows(report),
    leftRows(rig, report),
    pictureRows(report),
    fitRows(report),
  ];
  return [
    { id: 'cover', title: 'Does it cover', rows: coverRows(report) },
    {
      id: 'become',
      title: 'What it has become',
      rows: become,
      summary: rowSummary(become, 'focal', 'aperture'),
    },
    {
      id: 'set',
      title: 'What to set',
      rows: set,
      summary: rowSummary(set, 'stabiliser', 'handHeld'),
    },
    {
      id: 'left',
      title: 'What is left',
      rows: left,
      summary: rowSummary(left, 'frame'),
    },
    { id: 'picture', title: 'The picture', rows: picture, summary: rowSummary(picture, 'depth') },
    {
      id: 'fit',
      title: 'Does it fit',
      rows: fit,
      summary: `infinity ${fit[0]?.figure ?? ''} · rear glass ${fit[1]?.figure ?? ''}`,
    },
  ];
}
