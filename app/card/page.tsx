import type { Metadata } from 'next';
import { CardRoom } from '@/rooms/card/CardRoom';
import { ROOMS } from '@/shell/rooms';
import { wantsDemo } from '@/shell/wantsDemo';

export const metadata: Metadata = { title: ROOMS.card.name };

export default async function CardPage() {
  return <CardRoom loadDemoWhenEmpty={await wantsDemo()} />;
}
