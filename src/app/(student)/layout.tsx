import type { ReactNode } from 'react';
import { getSpeech } from '@/server';
import { SpeechProvider } from '@/ui/base';
import { LogProvider } from '@/ui/log';
import { studentVisit } from '../viewer';

export default async function StudentLayout({ children }: { children: ReactNode }) {
  const { me } = await studentVisit();
  return (
    <SpeechProvider speech={getSpeech(me)}>
      <LogProvider key={me.store.id} person={me.store.id}>
        {children}
      </LogProvider>
    </SpeechProvider>
  );
}
