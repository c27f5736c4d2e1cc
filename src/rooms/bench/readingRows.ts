/** The readings of a report as rows of words, grouped as people ask. */
import type { DeliveredFrame } from '@/core/frame/pipeline';
import type { FrameSize } from '@/core/optics/formats';
import type { Report } from '@/core/rig/report/evaluate';
import type { Rig } from '@/core/rig/rig';
import type { Reading } from '@/core/rig/readings/why';
import { secondsWords } from '@/core/optics/steady';
import { cornerWords } from '@/core/words/corners';

export interface ReadingRow {
  name: string;
  figure: string;
  note?: string;
  reading: Reading;
}

export interface ReadingGroup {
  title: string;
  rows: ReadingRow[];
  /** Said in its heading while it is folded. */
  summary?: string;
}

const signed = (v: number, digits: number): string =>
  `${v < -0.004 ? '−' : v > 0.004 ? '+' : ''}${Math.abs(v).toFixed(digits)}`;

const size = (f: { widthMm: number; heightMm: number }): string =>
  `${f.widthMm.toFixed(1)} × ${f.heightMm.toFixed(1)} mm`;

function coverRows({ verdict, coverage, frame, native }: Report): ReadingRow[] {
  const clean = coverage.cleanFrame.concentric;
  const moving = frame.travel.xMm > 0;
  const still = coverage.cornerStops.some((v) => v === null)
    ? null
    : Math.max(...coverage.cornerStops.map((v) => v ?? 0));
  return [
    {
      name: 'Darkest corner',
      figure: worstWords(verdict.worstCornerStops),
      note: moving && cornerWords(still) !== 'black' ? `at rest ${cornerWords(still)}` : undefined,
      reading: 'corners',
    },
    {
      name: 'Halo',
      figure: `⌀ ${(coverage.radiiMm.half * 2).toFixed(1)} mm`,
      note: `black ⌀ ${(coverage.radiiMm.black * 2).toFixed(1)}`,
      reading: 'halo',
    },
    {
      name: 'Native lenses',
      figure: `−${native.betterQuarter.toFixed(1)} to −${native.worseQuarter.toFixed(1)}`,
      note: 'is usual',
      reading: 'native',
    },
    {
      name: 'Margin',
      figure: `${signed(coverage.marginMm.half, 1)} mm`,
      note: `${(coverage.areaShare * 100).toFixed(coverage.areaShare > 0.9995 ? 0 : 1)} % inside`,
      reading: 'margin',
    },
    {
      name: 'Clean frame',
      figure: clean.widthMm > 0 ? size(clean) : 'none',
      note: clean.widthMm > 0 ? `${cleanMegapixels(frame.delivered, clean)} MP` : undefined,
      reading: 'cleanFrame',
    },
    {
      name: 'Scale up in post',
      figure: coverage.scaleUp === null ? 'no use' : scaleWords(coverage.scaleUp),
      reading: 'scaleUp',
    },
  ];
}

/** Megapixels that fall in the clean frame. */
const cleanMegapixels = (delivered: DeliveredFrame, clean: FrameSize): string => {
  const share = (clean.widthMm * clean.heightMm) / (delivered.widthMm * delivered.heightMm);
  return (delivered.megapixels * share).toFixed(1);
};

const worstWords = (v: number | null): string =>
  cornerWords(v) === 'black' ? 'black' : `−${(v ?? 0).toFixed(2)} stops`;

const scaleWords = (p: number): string =>
  p < 1.0005 ? 'not needed' : `${((p - 1) * 100).toFixed(1)} %`;

function becomeRows({ optics }: Report): ReadingRow[] {
  const { train, equivalents: equal, view } = optics;
  const custom = train.customaryStops;
  const rows: ReadingRow[] = [
    {
      name: 'Focal length',
      figure: `${train.focalMm.toFixed(1)} mm`,
      note: `${equal.focalMm.toFixed(1)} eq · ${equal.basis}`,
      reading: 'focal',
    },
    {
      name: 'Aperture',
      figure: `f/${train.fNumber.toFixed(2)}`,
      note: `prints ${optics.printsAs.map((p) => p.slice(2)).join(' or ')} · f/${equal.fNumber.toFixed(1)} eq`,
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
      figure: `${view.horizontal.toFixed(1)}° × ${view.vertical.toFixed(1)}°`,
      note: `${view.diagonal.toFixed(0)}° across`,
      reading: 'view',
    },
  ];
  if (train.tStop !== null) {
    rows.splice(2, 0, { name: 'T-stop', figure: `T${train.tStop.toFixed(2)}`, reading: 'tStop' });
  }
  return rows;
}

function lightNote(isoFactor: number, custom: number | null, disagrees: boolean): string {
  if (disagrees && custom !== null) return `said to be ${signed(custom, 1)}`;
  if (Math.abs(isoFactor - 1) < 0.005) return 'nothing in the way';
  return isoFactor < 1 ? `ISO ÷ ${(1 / isoFactor).toFixed(2)}` : `ISO × ${isoFactor.toFixed(2)}`;
}

function leftRows(rig: Rig, { frame, optics, sharpness, wander }: Report): ReadingRow[] {
  const { delivered } = frame;
  const rows: ReadingRow[] = [
    {
      name: 'Delivered',
      figure: size(delivered),
      note: delivered.linearCrop > 1.0005 ? `crop ×${delivered.linearCrop.toFixed(2)}` : undefined,
      reading: 'frame',
    },
    {
      name:
        rig.mode.use === 'stills' || delivered.oversampling === null ? 'Pixels' : 'Oversampling',
      figure: pixelWords(delivered),
      note:
        delivered.oversampling === null ? undefined : `${delivered.megapixels.toFixed(1)} MP read`,
      reading: 'frame',
    },
    {
      name: 'Crop factor',
      figure: optics.equivalents.cropFactor.toFixed(2),
      note: `${signed(optics.equivalents.totalLightStops, 1)} stops total light`,
      reading: 'equivalents',
    },
    {
      name: 'Detail',
      figure: `${sharpness.system.toFixed(0)} lp/mm`,
      note: sharpness.evidence === 'own figure' ? undefined : 'class of lens',
      reading: 'detail',
    },
  ];
  if (frame.travel.xMm > 0) {
    const { flickerStops } = wander;
    rows.push({
      name: 'Corner flicker',
      figure: flickerStops === null ? 'light to black' : `${flickerStops.toFixed(2)} stops`,
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

const pixelWords = (delivered: Report['frame']['delivered']): string =>
  delivered.oversampling === null
    ? `${delivered.megapixels.toFixed(1)} MP`
    : `× ${delivered.oversampling.toFixed(2)}`;

const AUTOFOCUS_WORDS = {
  works: 'works',
  'too slow': 'fails',
  manual: 'by hand',
  'not known': 'not known',
} as const;

function setRows({ steady, autofocus }: Report): ReadingRow[] {
  const rows: ReadingRow[] = [
    {
      name: 'Stabiliser',
      figure: `${steady.enterFocalMm.toFixed(1)} mm`,
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
      figure: secondsWords(steady.handHeldSeconds),
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
      figure: '1/250 s',
      note: 'or shorter; 1/400 better',
      reading: 'shutter',
    });
  }
  return rows;
}

const metres = (v: number): string => (v < 10 ? v.toFixed(2) : v.toFixed(1));

function pictureRows({ picture }: Report): ReadingRow[] {
  const { depth, farBlurShare, zones } = picture;
  return [
    {
      name: 'In focus',
      figure: `${metres(depth.nearM)} m to ${depth.farM === null ? '∞' : `${metres(depth.farM)} m`}`,
      reading: 'depth',
    },
    {
      name: 'Far lights',
      figure: farBlurShare === null ? 'points' : `${(farBlurShare * 100).toFixed(1)} %`,
      note: farBlurShare === null ? undefined : 'of frame height',
      reading: 'blur',
    },
    {
      name: 'Edge of the halo',
      figure: `${(zones.edge * 100).toFixed(0)} %`,
      note: `middle ${(zones.middle * 100).toFixed(0)} %`,
      reading: 'zones',
    },
  ];
}

const STRIKE_WORDS = {
  clear: 'clear',
  close: 'close',
  strikes: 'strikes',
  'not known': 'not known',
} as const;

function infinityWords({ reachesInfinity, farthestFocusM }: Report['fit']['register']): string {
  if (reachesInfinity === null) return 'not known';
  return reachesInfinity ? 'reached' : `to ${metres(farthestFocusM ?? 0)} m`;
}

function fitRows({ fit }: Report): ReadingRow[] {
  const { strike, carried } = fit;
  const carries = (['focus', 'aperture', 'metadata', 'stabiliser'] as const).filter(
    (k) => carried[k],
  );
  return [
    { name: 'Infinity', figure: infinityWords(fit.register), reading: 'register' },
    {
      name: 'Rear glass',
      figure: strike ? STRIKE_WORDS[strike.state] : 'not measured',
      note:
        strike?.clearMm != null
          ? `${strike.standsMm.toFixed(1)} into ${strike.clearMm.toFixed(1)} mm`
          : undefined,
      reading: 'strike',
    },
    {
      name: 'Contacts',
      figure: carries.length === 0 ? 'carry nothing' : carries.join(', '),
      reading: 'contacts',
    },
  ];
}

const rowSummary = (rows: readonly ReadingRow[], ...names: string[]): string =>
  rows
    .filter((r) => names.includes(r.name))
    .map((r) => r.figure)
    .join(' · ');

/** Name of the group that says what the train made of the lens. */
export const BECOME = 'What it has become';

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
    { title: 'Does it cover', rows: coverRows(report) },
    { title: BECOME, rows: become, summary: rowSummary(become, 'Focal length', 'Aperture') },
    { title: 'What to set', rows: set, summary: rowSummary(set, 'Stabiliser', 'By hand') },
    {
      title: 'What is left',
      rows: left,
      summary: rowSummary(left, 'Delivered', 'Pixels', 'Oversampling'),
    },
    { title: 'The picture', rows: picture, summary: rowSummary(picture, 'In focus') },
    {
      title: 'Does it fit',
      rows: fit,
      summary: `infinity ${fit[0]?.figure ?? ''} · rear glass ${fit[1]?.figure ?? ''}`,
    },
  ];
}
