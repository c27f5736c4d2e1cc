import type { Metadata } from 'next';
import { ConvertersRoom } from '@/rooms/converters/ConvertersRoom';
import { ROOMS } from '@/shell/rooms';
import { wantsDemo } from '@/shell/wantsDemo';

export const metadata: Metadata = { title: ROOMS.converters.name };

export default async function ConvertersPage() {
  return <ConvertersRoom loadDemoWhenEmpty={await wantsDemo()} />;
}
