import type { Metadata } from 'next';
import { connection } from 'next/server';
import { BenchRoom } from '@/rooms/bench/BenchRoom';

export const metadata: Metadata = { title: 'Bench' };

export default async function BenchPage() {
  await connection();
  return <BenchRoom loadDemoWhenEmpty={process.env.HALO_DEMO === '1'} />;
}
