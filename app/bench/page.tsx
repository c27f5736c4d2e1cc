import type { Metadata } from 'next';
import { BenchRoom } from '@/rooms/bench/BenchRoom';
import { ROOMS } from '@/shell/rooms';
import { wantsDemo } from '@/shell/wantsDemo';

export const metadata: Metadata = { title: ROOMS.bench.name };

export default async function BenchPage() {
  return <BenchRoom loadDemoWhenEmpty={await wantsDemo()} />;
}
