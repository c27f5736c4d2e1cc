/** Depth of field on three bases: what each compares, and the sentence that settles the usual quarrel. */
import { type DepthBasis, diagonalMm, engravedWords } from '../optics';
import { fWords, fixed, metres } from '../words';
import type { ConverterColumn } from './columns';

interface BasisWords {
  title: string;
  sentence: string;
}

/** What one basis says of a converter, in words. */
export function basisWords({ report, rig }: ConverterColumn, basis: DepthBasis): BasisWords {
  const m = report.optics.workingFactor;
  const wider = m < 1;
  switch (basis.basis) {
    case 'same place':
      return {
        title: 'Same place, the subject printed as large',
        sentence: `The entrance pupil has not changed, so the blur on the subject has not: the glass only makes the picture ${wider ? 'wider' : 'tighter'}. Judged as it stands, without enlarging, the depth is ${fixed(1 / m, 2)} times.`,
      };
    case 'same framing':
      return {
        title: `Framed alike, from ${metres(basis.focusM)}`,
        sentence: `${wider ? 'Step closer' : 'Step back'} until the subject is framed as before and the depth is ${fixed(m, 2)} times: ${wider ? 'shallower' : 'deeper'}, as with any lens of ${fWords(report.optics.train.fNumber, 1)}.`,
      };
    case 'larger format': {
      const diagonal = diagonalMm(report.frame.delivered) / m;
      return {
        title: `Against the bare lens on a ${wider ? 'larger' : 'smaller'} format`,
        sentence: `A format of ${fixed(diagonal, 1)} mm diagonal with the bare ${fixed(rig.settings.focalMm, 0)} mm at ${engravedWords(rig.settings.fNumber)}, from the same place, makes the same picture with the same depth: the stop ${wider ? 'gained buys exposure, not a shallower picture than that camera makes' : 'lost buys no deeper picture than that camera makes'}.`,
      };
    }
  }
}
