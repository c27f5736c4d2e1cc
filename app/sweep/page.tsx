import type { Metadata } from 'next';
import { SweepRoom } from '@/rooms/sweep/SweepRoom';
import { ROOMS } from '@/shell/rooms';
import { wantsDemo } from '@/shell/wantsDemo';

export const metadata: Metadata = { title: ROOMS.sweep.name };

export default async function SweepPage() {
  return <SweepRoom loadDemoWhenEmpty={await wantsDemo()} />;
}
