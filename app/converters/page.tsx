import type { Metadata } from 'next';
import { ConvertersRoom } from '@/rooms/converters/ConvertersRoom';
import { ROOMS } from '@/shell/rooms';

export const metadata: Metadata = { title: ROOMS.converters.name };

export default function ConvertersPage() {
  return <ConvertersRoom />;
}
