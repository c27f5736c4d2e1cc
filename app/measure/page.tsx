import type { Metadata } from 'next';
import { MeasureRoom } from '@/rooms/measure/MeasureRoom';
import { ROOMS } from '@/shell/rooms';

export const metadata: Metadata = { title: ROOMS.measure.name };

export default function MeasurePage() {
  return <MeasureRoom />;
}
