import type { MetadataRoute } from 'next';
import { FIRST_ROOM, ROOM_IDS, ROOMS } from '@/shell/rooms';

/** How the program stands among a device's own. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Wandering Halo',
    short_name: 'Halo',
    description: 'How a lens’s halo covers a sensor, and what the glass between them does to it.',
    id: '/',
    start_url: ROOMS[FIRST_ROOM].path,
    scope: '/',
    display: 'standalone',
    background_color: '#14110d',
    theme_color: '#14110d',
    icons: [
      { src: '/icon-192.png', sizes: '192x192', type: 'image/png', purpose: 'any' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
      { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' },
    ],
    shortcuts: ROOM_IDS.map((id) => ({
      name: ROOMS[id].name,
      description: ROOMS[id].line,
      url: ROOMS[id].path,
    })),
  };
}
