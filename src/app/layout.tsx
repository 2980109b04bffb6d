import type { Metadata, Viewport } from 'next';
import { cookies } from 'next/headers';
import type { ReactNode } from 'react';
import './globals.css';

export const metadata: Metadata = {
  title: { default: 'Mivvel', template: '%s · Mivvel' },
  description: 'Coordination and independence practice for drum teachers and their students.',
};

export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const theme = (await cookies()).get('mivvel-theme')?.value;
  return (
    <html
      lang="en"
      data-theme={theme === 'dark' || theme === 'light' ? theme : undefined}
      suppressHydrationWarning
    >
      <body>{children}</body>
    </html>
  );
}
