import type { Metadata } from 'next';
import { KitRoom } from '@/rooms/kit/KitRoom';
import { ROOMS } from '@/shell/rooms';
import { wantsDemo } from '@/shell/wantsDemo';

export const metadata: Metadata = { title: ROOMS.kit.name };

export default async function KitPage() {
  return <KitRoom loadDemoWhenEmpty={await wantsDemo()} />;
}
