import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import '@fontsource-variable/archivo/wdth.css';
import { OfflineKeeper } from '@/shell/offline/OfflineKeeper';
import { StyleRegistry } from '@/ui/theme/StyleRegistry';
import { THEME_SCRIPT } from '@/ui/theme/themeScript';

export const metadata: Metadata = {
  title: { default: 'Wandering Halo', template: '%s · Wandering Halo' },
  description: 'How a lens’s halo covers a sensor, and what the glass between them does to it.',
};

export const viewport: Viewport = { width: 'device-width', initialScale: 1, themeColor: '#14110d' };

export default async function Layout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    <html lang="en" data-theme="dark" suppressHydrationWarning>
      <head>
        <script nonce={nonce} dangerouslySetInnerHTML={{ __html: THEME_SCRIPT }} />
      </head>
      <body>
        <StyleRegistry>
          {children}
          <OfflineKeeper />
        </StyleRegistry>
      </body>
    </html>
  );
}
