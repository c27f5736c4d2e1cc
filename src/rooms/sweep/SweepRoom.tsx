'use client';
import { rigRoom } from '@/shell/rig/RigRoom';
import { OpenSheet } from './OpenSheet';
import { useSweep } from './useSweep';

/** Sweep: a rig over its settings, as a sheet of frames. */
export const SweepRoom = rigRoom({
  room: 'sweep',
  shortcuts: [
    { keys: 'arrows', does: 'from frame to frame, on the sheet' },
    { keys: 'Enter', does: 'put the frame in hand on the Bench' },
    { keys: 'c', does: 'corner stops under the frames, or none' },
    { keys: 'x', does: 'turn the sheet over: down becomes across' },
  ],
  heading: 'No rig to sweep yet',
  words: 'A sweep looks over every setting of a rig: put one together first, or look at the demo.',
  useInHand: useSweep,
  Open: (props) => <OpenSheet key={props.record.id} {...props} />,
});
