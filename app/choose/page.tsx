import type { Metadata } from 'next';
import { ChooseRoom } from '@/rooms/choose/ChooseRoom';
import { ROOMS } from '@/shell/rooms';

export const metadata: Metadata = { title: ROOMS.choose.name };

export default function ChoosePage() {
  return <ChooseRoom />;
}
