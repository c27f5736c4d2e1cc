import type { Metadata } from 'next';
import { BenchRoom } from '@/rooms/bench/BenchRoom';
import { ROOMS } from '@/shell/rooms';

export const metadata: Metadata = { title: ROOMS.bench.name };

export default function BenchPage() {
  return <BenchRoom />;
}
