/** halo convert: what factors do to focal length, f-number and light. */
import {
  printsAs,
  equivalents,
  FULL_FRAME,
  customaryStopsTogether,
  isoFactor,
  lightStopsOfFactor,
} from '@/core/optics';
import { frameFrom, numberFrom, readArgs, requiredNumber, type Command } from './command';
import { fWords, fixed, mm, signedStops, times } from '@/core/words';

const usage =
  'halo convert --focal 500 --fnumber 4 --factor 1.4 [--factor ...] [--frame 36x24] [--json]';

const OPTIONS = {
  focal: { type: 'string' },
  fnumber: { type: 'string' },
  factor: { type: 'string', multiple: true },
  frame: { type: 'string' },
} as const;

interface Values {
  focal?: string;
  fnumber?: string;
  factor?: string[];
  frame?: string;
}

export const convertCommand: Command = {
  usage,
  run(args) {
    const values = readArgs(args, OPTIONS).values as Values;
    const focal = requiredNumber(values.focal, '--focal', 1, 5000);
    const fNumber = requiredNumber(values.fnumber, '--fnumber', 0.5, 128);
    const factors = (values.factor ?? []).map((f) => numberFrom(f, '--factor', 0.2, 5));
    const frame = values.frame === undefined ? FULL_FRAME : frameFrom(values.frame, '--frame');
    const factor = factors.reduce((a, b) => a * b, 1);
    const lightStops = factors.length === 0 ? 0 : lightStopsOfFactor(factor);
    const [focalMm, n] = [focal * factor, fNumber * factor];
    const equal = equivalents(focalMm, n, frame);
    const json = {
      focalMm,
      fNumber: n,
      lightStops,
      customaryStops: customaryStopsTogether(factors),
      isoFactor: isoFactor(lightStops),
      printsAs: printsAs(n),
      cropFactor: equal.cropFactor,
      equivalentFocalMm: equal.focalMm,
      equivalentFNumber: equal.fNumber,
    };
    return {
      json,
      rows: [
        ['focal length', mm(focalMm)],
        ['f-number', `${fWords(n)}, prints ${json.printsAs.join(' or ')}`],
        ['light', signedStops(lightStops, 2)],
        [
          'commonly said',
          json.customaryStops === null ? 'nothing' : signedStops(json.customaryStops, 2),
        ],
        ['ISO for the same exposure', times(json.isoFactor)],
        ['crop factor, diagonal', fixed(equal.cropFactor, 3)],
        ['36×24 equivalent', `${mm(equal.focalMm)} ${fWords(equal.fNumber, 1)}`],
      ],
    };
  },
};
