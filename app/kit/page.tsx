import type { Metadata } from 'next';
import { connection } from 'next/server';
import { KitRoom } from '@/rooms/kit/KitRoom';

export const metadata: Metadata = { title: 'Kit' };

export default async function KitPage() {
  await connection();
  return <KitRoom loadDemoWhenEmpty={process.env.HALO_DEMO === '1'} />;
}
