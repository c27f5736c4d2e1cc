import type { Metadata } from 'next';
import { FramingRoom } from '@/rooms/framing/FramingRoom';
import { ROOMS } from '@/shell/rooms';

export const metadata: Metadata = { title: ROOMS.framing.name };

export default function FramingPage() {
  return <FramingRoom />;
}
