/** Whether the program was started with the demo; asked by a page each time it is opened. */
import { connection } from 'next/server';

export async function wantsDemo(): Promise<boolean> {
  await connection();
  return process.env.HALO_DEMO === '1';
}
