import type { Metadata } from 'next';
import { ChooseRoom } from '@/rooms/choose/ChooseRoom';
import { ROOMS } from '@/shell/rooms';
import { wantsDemo } from '@/shell/wantsDemo';

export const metadata: Metadata = { title: ROOMS.choose.name };

export default async function ChoosePage() {
  return <ChooseRoom loadDemoWhenEmpty={await wantsDemo()} />;
}
