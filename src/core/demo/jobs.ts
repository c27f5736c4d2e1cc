/** What the crew has to deliver. */
import { jobExample, jobOf, type Job } from '../kit/records';

export const jobs: Job[] = [
  { ...jobExample, mostMassG: 2000, note: 'Dim, by hand, between the gears.' },
  jobOf({
    id: 'waders',
    name: 'Waders at dawn, far out',
    use: 'stills',
    pixelsAcross: 5000,
    viewFromMm: 700,
    viewToMm: 1000,
    slowestTStop: 8,
    stabilised: true,
    autofocus: true,
  }),
  jobOf({
    id: 'sluice-wide',
    name: 'Sluice tower, wide and scope',
    aspect: 2.39,
    pixelsAcross: 3840,
    framesPerSecond: 24,
    viewFromMm: 26,
    viewToMm: 40,
    slowestTStop: 4,
    postScale: 1.1,
  }),
];
