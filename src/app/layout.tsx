import type { Metadata, Viewport } from 'next';
import { cookies, headers } from 'next/headers';
import type { ReactNode } from 'react';
import { StyleNonce } from '@/ui/kit/style-nonce';
import { languageHere } from '@/server/reader';
import { WordsOf } from '@/app/words-of';
import { AWAKE, keepEarlyTaps } from '@/ui/live/early-taps';
import './globals.css';

export const metadata: Metadata = {
  title: { default: 'Hefeteig', template: '%s · Hefeteig' },
  manifest: '/manifest.webmanifest',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

const EARLY_TAPS = `(${keepEarlyTaps.toString()})(${JSON.stringify(AWAKE)})`;

export default async function RootLayout({ children }: { children: ReactNode }) {
  const theme = (await cookies()).get('theme')?.value === 'night' ? 'night' : 'day';
  const nonce = (await headers()).get('x-nonce') ?? '';
  return (
    <html lang={await languageHere()} data-theme={theme}>
      <head>
        <script nonce={nonce} suppressHydrationWarning dangerouslySetInnerHTML={{ __html: EARLY_TAPS }} />
      </head>
      <body>
        <StyleNonce nonce={nonce} />
        <WordsOf
          areas={['alarms', 'amounts', 'common', 'kit', 'live', 'marks', 'scaling', 'shell', 'signIn']}
        >
          {children}
        </WordsOf>
      </body>
    </html>
  );
}
