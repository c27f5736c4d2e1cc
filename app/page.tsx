import { redirect } from 'next/navigation';
import { FIRST_ROOM, ROOMS } from '@/shell/rooms';

export default function Home() {
  redirect(ROOMS[FIRST_ROOM].path);
}
