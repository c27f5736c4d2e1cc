import type { Metadata } from 'next';
import { connection } from 'next/server';
import { MeasureRoom } from '@/rooms/measure/MeasureRoom';

export const metadata: Metadata = { title: 'Measure' };

export default async function MeasurePage() {
  await connection();
  return <MeasureRoom loadDemoWhenEmpty={process.env.HALO_DEMO === '1'} />;
}
