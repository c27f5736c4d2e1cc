/** halo convert: what factors do to focal length, f-number and light. */
import { printsAs } from '@/core/optics/apertures';
import { equivalents } from '@/core/optics/crop';
import { FULL_FRAME } from '@/core/optics/formats';
import { customaryStopsTogether, isoFactor, lightStopsOfFactor } from '@/core/optics/stops';
import { frameFrom, numberFrom, readArgs, requiredNumber, type Command } from './command';
import { signed } from './words';

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
        ['focal length', `${focalMm.toFixed(1)} mm`],
        ['f-number', `f/${n.toFixed(2)}, prints ${json.printsAs.join(' or ')}`],
        ['light', `${signed(lightStops)} stops`],
        [
          'commonly said',
          json.customaryStops === null ? 'nothing' : `${signed(json.customaryStops)} stops`,
        ],
        ['ISO for the same exposure', `× ${json.isoFactor.toFixed(2)}`],
        ['crop factor, diagonal', equal.cropFactor.toFixed(3)],
        ['36×24 equivalent', `${equal.focalMm.toFixed(1)} mm f/${equal.fNumber.toFixed(1)}`],
      ],
    };
  },
};
