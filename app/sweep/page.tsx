import type { Metadata } from 'next';
import { SweepRoom } from '@/rooms/sweep/SweepRoom';
import { ROOMS } from '@/shell/rooms';

export const metadata: Metadata = { title: ROOMS.sweep.name };

export default function SweepPage() {
  return <SweepRoom />;
}
