import type { Metadata, Viewport } from 'next';
import { cookies } from 'next/headers';
import type { ReactNode } from 'react';
import { LanguageProvider } from '@/ui/base';
import { languageNow, sayNow } from './language';
import './globals.css';

export async function generateMetadata(): Promise<Metadata> {
  const say = await sayNow();
  return {
    title: { default: 'Mivvel', template: '%s · Mivvel' },
    description: say.t('screen.shell.about'),
    icons: '/icon.svg',
  };
}

export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const theme = (await cookies()).get('mivvel-theme')?.value;
  const locale = await languageNow();
  return (
    <html
      lang={locale}
      data-theme={theme === 'dark' || theme === 'light' ? theme : undefined}
      suppressHydrationWarning
    >
      <body>
        <LanguageProvider locale={locale}>{children}</LanguageProvider>
      </body>
    </html>
  );
}
