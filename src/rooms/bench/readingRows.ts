/** The readings of a report as rows of words, grouped as people ask. */
import type { Report } from '@/core/rig/evaluate';
import type { Rig } from '@/core/rig/rig';
import type { Reading } from '@/core/rig/why';
import { cornerWords } from '@/ui/stage/stageWords';

export interface ReadingRow {
  name: string;
  figure: string;
  note?: string;
  reading: Reading;
}

export interface ReadingGroup {
  title: string;
  rows: ReadingRow[];
}

const signed = (v: number, digits: number): string =>
  `${v < -0.004 ? '−' : v > 0.004 ? '+' : ''}${Math.abs(v).toFixed(digits)}`;

const size = (f: { widthMm: number; heightMm: number }): string =>
  `${f.widthMm.toFixed(1)} × ${f.heightMm.toFixed(1)} mm`;

function coverRows({ verdict, coverage, frame }: Report): ReadingRow[] {
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
      name: 'Margin',
      figure: `${signed(coverage.marginMm.half, 1)} mm`,
      note: 'at half light',
      reading: 'margin',
    },
    {
      name: 'Inside half light',
      figure: `${(coverage.areaShare * 100).toFixed(coverage.areaShare > 0.9995 ? 0 : 1)} %`,
      note: 'of the frame',
      reading: 'areaShare',
    },
    {
      name: 'Clean frame',
      figure: clean.widthMm > 0 ? size(clean) : 'none',
      reading: 'cleanFrame',
    },
    {
      name: 'Scale up in post',
      figure: coverage.scaleUp === null ? 'no use' : scaleWords(coverage.scaleUp),
      reading: 'scaleUp',
    },
  ];
}

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

function leftRows(rig: Rig, { frame, optics }: Report): ReadingRow[] {
  const { delivered } = frame;
  const crop = optics.equivalents.cropFactor;
  return [
    {
      name: 'Delivered',
      figure: size(delivered),
      note: delivered.linearCrop > 1.0005 ? `crop ×${delivered.linearCrop.toFixed(2)}` : undefined,
      reading: 'frame',
    },
    {
      name:
        rig.mode.use === 'stills' || delivered.oversampling === null ? 'Pixels' : 'Oversampling',
      figure:
        delivered.oversampling === null
          ? `${delivered.megapixels.toFixed(1)} MP`
          : `× ${delivered.oversampling.toFixed(2)}`,
      note:
        delivered.oversampling === null ? undefined : `${delivered.megapixels.toFixed(1)} MP read`,
      reading: 'frame',
    },
    {
      name: 'Crop factor',
      figure: crop.toFixed(2),
      note: `${signed(optics.equivalents.totalLightStops, 1)} stops total light`,
      reading: 'equivalents',
    },
  ];
}

export const readingGroups = (rig: Rig, report: Report): ReadingGroup[] => [
  { title: 'Does it cover', rows: coverRows(report) },
  { title: 'What it has become', rows: becomeRows(report) },
  { title: 'What is left', rows: leftRows(rig, report) },
];
