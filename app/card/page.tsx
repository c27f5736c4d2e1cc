import type { Metadata } from 'next';
import { CardRoom } from '@/rooms/card/CardRoom';
import { ROOMS } from '@/shell/rooms';

export const metadata: Metadata = { title: ROOMS.card.name };

export default function CardPage() {
  return <CardRoom />;
}
