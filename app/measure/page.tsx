import type { Metadata } from 'next';
import { MeasureRoom } from '@/rooms/measure/MeasureRoom';
import { ROOMS } from '@/shell/rooms';
import { wantsDemo } from '@/shell/wantsDemo';

export const metadata: Metadata = { title: ROOMS.measure.name };

export default async function MeasurePage() {
  return <MeasureRoom loadDemoWhenEmpty={await wantsDemo()} />;
}
