/** What is dialled on a rig, as its barrel and its body have it. */
import { namedAspect, cropInForce } from '../frame';
import { isZoom } from '../kit/records';
import type { Report } from '../rig/report';
import type { Rig } from '../rig';
import { engravedWords } from '../optics';
import { focal } from '../sweep';
import { fixed, fWords, metres, mm, placeWords, scaleUpWords, times } from '../words';
import type { CardLine } from './cardLine';

/** A focal length as it is read off a barrel, with its unit. */
export const focalWords = (value: number): string => `${focal(value)} mm`;

function deliverWords({ settings }: Rig): string {
  const named = namedAspect(settings.aspect);
  return named?.name ?? `${fixed(settings.aspect ?? 1, 2)}:1`;
}

/** What is dialled on the lens. */
function lensDials(rig: Rig, { optics }: Report): CardLine[] {
  const { settings } = rig;
  const { train } = optics;
  const isBent = train.factor !== 1;
  const printed = optics.printsAs.map((p) => p.slice(2)).join(' or ');
  return [
    {
      name: isZoom(rig.lens) ? 'Zoom' : 'Focal length',
      figure: focalWords(settings.focalMm),
      note: isBent ? `works as ${mm(train.focalMm)}` : undefined,
    },
    {
      name: 'Aperture ring',
      figure: engravedWords(settings.fNumber),
      note: isBent ? `works as ${fWords(train.fNumber)}, prints ${printed}` : undefined,
    },
    { name: 'Focus', figure: metres(settings.focusM) },
  ];
}

function stabiliserDial({ settings }: Rig, { steady }: Report): CardLine {
  if (!settings.stabiliser) return { name: 'Stabiliser', figure: 'off, locked' };
  return {
    name: 'Stabiliser',
    figure: `on, ${focalWords(steady.menuFocalMm ?? steady.enterFocalMm)}`,
    note: steady.toldByLens ? 'told by the lens' : `exact ${mm(steady.enterFocalMm)}`,
  };
}

/** What is dialled at all only where it is not at rest. */
function restlessDials({ settings, mode }: Rig): CardLine[] {
  const crop = mode.crops.find((c) => c.id === settings.cropId);
  const { digitalZoom, postScale, shiftXMm, shiftYMm, helicoidMm } = settings;
  const dials: (CardLine | false)[] = [
    digitalZoom !== 1 && { name: 'Digital zoom', figure: times(digitalZoom, 1) },
    crop !== undefined && {
      name: 'Stabilisation crop',
      figure: crop.name,
      note: `${times(cropInForce(crop))}${crop.measured === null ? ', as its maker states' : ', measured'}`,
    },
    postScale !== 1 && { name: 'Scale up in post', figure: scaleUpWords(postScale) },
    (shiftXMm !== 0 || shiftYMm !== 0) && {
      name: 'Shift',
      figure: placeWords({ xMm: shiftXMm, yMm: shiftYMm }),
    },
    helicoidMm !== 0 && { name: 'Helicoid', figure: mm(helicoidMm) },
  ];
  return dials.filter((dial) => dial !== false);
}

/** Everything that is dialled. */
export const dialsOf = (rig: Rig, report: Report): CardLine[] => [
  ...lensDials(rig, report),
  { name: 'Deliver', figure: deliverWords(rig) },
  ...(rig.body.sensorTravel === null ? [] : [stabiliserDial(rig, report)]),
  ...restlessDials(rig),
];
