import type { ReactNode } from 'react';
import { getSpeech } from '@/server';
import { SpeechProvider } from '@/ui/base';
import { studentVisit } from '../viewer';

export default async function StudentLayout({ children }: { children: ReactNode }) {
  const { context, viewer } = await studentVisit();
  return <SpeechProvider speech={getSpeech(context, viewer)}>{children}</SpeechProvider>;
}
