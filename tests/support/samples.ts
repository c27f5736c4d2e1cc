/** Halo samples made from the example, with some of it told otherwise. */
import { haloSampleExample, type HaloSample } from '@/core/kit/records';

export type SampleTold = Omit<Partial<HaloSample>, 'evidence'> & {
  evidence?: Partial<HaloSample['evidence']>;
};

export const sampleWith = (told: SampleTold): HaloSample => ({
  ...haloSampleExample,
  ...told,
  evidence: { ...haloSampleExample.evidence, ...told.evidence },
});
