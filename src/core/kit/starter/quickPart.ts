/** What stands between lens and camera, from its kind and the two mounts; its thickness follows from the registers. */
import { type FrameSize, shiftOfConverterMm, canBePlain, plainThicknessMm } from '../../optics';
import { fixed, mm, fail, ok, short, type Result } from '../../words';
import { type Mount, partOf, type Part, type PartKind } from '../records';

export interface PartFacts {
  kind: Extract<PartKind, 'plain adapter' | 'focal reducer' | 'teleconverter' | 'expander'>;
  /** 1 for a plain adapter. */
  factor: number;
  /** Flange to flange as printed or measured, mm; without it, it is taken as such parts are made. */
  thicknessMm?: number;
  /** Takes the lens. */
  front: Mount;
  /** Goes on the body. */
  rear: Mount;
  /** What its glass was made for; null where it has none or nobody knows. */
  designFormat: FrameSize | null;
}

/**
 * Focal lengths of a usual converter's glass, mm; its thickness rests on them, and with it where the pupil falls. A reducer
 * stands in the room the lens's register leaves, and grows with it: 42 mm in 44 gives what is made, 0.71x of 21 mm between
 * 44 and 18, and of 19.8 mm between 44 and 19.25; all of it: common practice, no source.
 */
const usualFocalMm = (factor: number, front: Pick<Mount, 'registerMm'>): number =>
  factor < 1 ? (42 / 44) * front.registerMm : -80;
/** Least thickness of a part with glass and two mounts; common practice, no source. */
const THINNEST_WITH_GLASS_MM = 5;

/** So many letters of each mount's id go into the id of a part, which may not be longer than 80. */
const ID_SHARE = 36;

const shown = (factor: number): string => String(Number(factor.toFixed(3)));

/** By its registers, which fit a narrow place: "focal reducer ×0.71, 44.00 to 18.00". */
const partName = ({ kind, factor, thicknessMm, front, rear }: PartFacts): string => {
  const thick = thicknessMm === undefined ? '' : `, ${short(thicknessMm, 3)} mm thick`;
  const what = kind === 'plain adapter' ? kind : `${kind} ×${shown(factor)}${thick}`;
  const [from, to] = [fixed(front.registerMm, 2), fixed(rear.registerMm, 2)];
  return front.id === rear.id ? `${what}, ${from}` : `${what}, ${from} to ${to}`;
};

/** Id of such a part, so that the same one is not put in twice. */
const partIdOf = ({ kind, factor, thicknessMm, front, rear }: PartFacts): string => {
  const what = kind === 'plain adapter' ? 'plain' : `${kind.replace(' ', '-')}-${shown(factor)}`;
  const thick = thicknessMm === undefined ? '' : `-${shown(thicknessMm)}`;
  return `${what}${thick}-${front.id.slice(0, ID_SHARE)}-${rear.id.slice(0, ID_SHARE)}`.slice(
    0,
    80,
  );
};

/**
 * Flange to flange, mm: the registers' difference, less what a converter's glass moves the image toward the
 * lens. Source: thin-lens equation, docs/optics.md.
 */
function usualThicknessMm({
  factor,
  front,
  rear,
}: Pick<PartFacts, 'factor' | 'front' | 'rear'>): number {
  const plain = plainThicknessMm(front.registerMm, rear.registerMm);
  if (factor === 1) return plain;
  const usual = plain - shiftOfConverterMm(factor, usualFocalMm(factor, front));
  // Where the usual glass would not fit, one that does is taken, as long as there is room for any.
  return plain > THINNEST_WITH_GLASS_MM || factor > 1
    ? Math.max(THINNEST_WITH_GLASS_MM, usual)
    : usual;
}

/** Factors that are usual of a kind; common practice, no source. */
const USUAL_FACTOR: Partial<Record<PartKind, number>> = {
  'focal reducer': 0.71,
  teleconverter: 1.4,
  expander: 1.6,
};

/** Whether a factor is one of a kind: a reducer's is below 1, a teleconverter's above. */
const isFactorOf = (kind: PartKind, factor: number): boolean => {
  const usual = USUAL_FACTOR[kind];
  return usual === undefined
    ? factor === 1 || kind === 'front converter'
    : usual < 1 === factor < 1 && factor !== 1;
};

/** A part that becomes one of another kind: with a factor that can be of it, as thick as the registers then leave it. */
export function ofKind(part: Part, kind: PartKind, mounts: readonly Mount[]): Part {
  if (isFactorOf(kind, part.factor)) return { ...part, kind };
  const factor = USUAL_FACTOR[kind] ?? 1;
  const front = mounts.find((m) => m.id === part.frontMountId);
  const rear = mounts.find((m) => m.id === part.rearMountId);
  const thickness = front && rear ? usualThicknessMm({ factor, front, rear }) : part.thicknessMm;
  const isThick = thickness >= -20 && thickness <= 500;
  const guessed = factor === 1 ? [] : ['factor', 'thicknessMm'];
  return {
    ...part,
    kind,
    factor,
    thicknessMm: isThick ? Number(thickness.toFixed(3)) : part.thicknessMm,
    estimated: [...part.estimated.filter((e) => e !== 'factor' && e !== 'thicknessMm'), ...guessed],
  };
}

/** Such a part, or why nobody builds it. */
export function quickPart(facts: PartFacts): Result<Part> {
  const { kind, factor, front, rear, designFormat } = facts;
  const isPlain = kind === 'plain adapter';
  const told = isPlain ? undefined : facts.thicknessMm;
  const thicknessMm = Number((told ?? usualThicknessMm(facts)).toFixed(3));
  if (isPlain && !canBePlain(front.registerMm, rear.registerMm))
    return fail(
      'cannotBeBuilt',
      '/thicknessMm',
      thicknessMm === 0
        ? 'Nothing goes between two mounts of one register.'
        : `It would be ${mm(thicknessMm, 2)} thick: without glass this lens does not reach infinity on this camera.`,
    );
  if (!isPlain && told === undefined && thicknessMm < THINNEST_WITH_GLASS_MM)
    return fail(
      'cannotBeBuilt',
      '/thicknessMm',
      `It would be about ${mm(thicknessMm, 0)} thick: too little room for glass between these mounts.`,
    );
  return ok(
    partOf({
      id: partIdOf(facts),
      name: partName(facts),
      kind,
      frontMountId: front.id,
      rearMountId: rear.id,
      factor,
      thicknessMm,
      designFormat: isPlain ? null : designFormat,
      estimated: [
        ...(isPlain || told !== undefined ? [] : ['thicknessMm']),
        ...(isPlain ? [] : ['designFormat']),
      ],
    }),
  );
}
