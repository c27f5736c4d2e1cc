import type { Metadata } from 'next';
import { FramingRoom } from '@/rooms/framing/FramingRoom';
import { ROOMS } from '@/shell/rooms';
import { wantsDemo } from '@/shell/wantsDemo';

export const metadata: Metadata = { title: ROOMS.framing.name };

export default async function FramingPage() {
  return <FramingRoom loadDemoWhenEmpty={await wantsDemo()} />;
}
