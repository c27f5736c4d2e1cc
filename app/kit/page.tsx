import type { Metadata } from 'next';
import { KitRoom } from '@/rooms/kit/KitRoom';
import { ROOMS } from '@/shell/rooms';

export const metadata: Metadata = { title: ROOMS.kit.name };

export default function KitPage() {
  return <KitRoom />;
}
