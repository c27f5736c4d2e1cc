'use client';
import { rigRoom } from '@/shell/rig/RigRoom';
import { RibbonPatterns } from '@/ui/marks/RibbonPatterns';
import { OpenWeighing } from './OpenWeighing';
import { useConverters } from './useConverters';

/** Converters: what the glass does, against cropping and stepping closer. */
export const ConvertersRoom = rigRoom({
  room: 'converters',
  shortcuts: [
    { keys: 'p', does: 'play between bare and converted' },
    { keys: '[ ]', does: 'the converter before, the next one' },
  ],
  heading: 'No rig to weigh converters on yet',
  words:
    'A converter is weighed on a lens and a body: put a rig together first, or look at the demo.',
  useInHand: useConverters,
  Open: (props) => (
    <>
      <OpenWeighing key={props.record.id} {...props} />
      <RibbonPatterns />
    </>
  ),
});
