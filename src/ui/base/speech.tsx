'use client';

import dynamic from 'next/dynamic';
import { useEffect, useMemo, type ReactNode } from 'react';
import type { Speech } from '@/core/studio';
import { sayCaution, sayToStudentsIn, type Locale, type SayIn } from '@/words';
import { IssueWords } from './issue-words';
import { SpeechContext, spokenOf, useSpeech } from './use-speech';

const Toasts = dynamic(() => import('./toasts').then((file) => file.Toasts), { ssr: false });

/** The language of everything below. */
export function LanguageProvider({ locale, children }: { locale: Locale; children: ReactNode }) {
  const spoken = useMemo(() => spokenOf(sayToStudentsIn(locale)), [locale]);
  return <SpeechContext value={spoken}>{children}</SpeechContext>;
}

/** How the studio names note values and counts, for everything below, passing messages too.
 * @param sayIn what is said below; only what students read when left out */
export function SpeechProvider({
  speech,
  sayIn = sayToStudentsIn,
  children,
}: {
  speech: Speech;
  sayIn?: SayIn;
  children: ReactNode;
}) {
  const { locale } = useSpeech().say;
  const spoken = useMemo(() => spokenOf(sayIn(locale, speech), speech), [sayIn, locale, speech]);
  useEffect(() => IssueWords.load(), []);
  return (
    <SpeechContext value={spoken}>
      {children}
      <Toasts
        label={spoken.say.t('screen.common.notices')}
        close={spoken.say.t('screen.common.closeNotice')}
      />
    </SpeechContext>
  );
}

/** Stands where something is still on its way. */
export function Loading() {
  return <>{useSpeech().say.t('screen.common.loading')}</>;
}

/** Said when the server could not be reached. */
export function NoConnection() {
  return <>{useSpeech().say.t('screen.common.noConnectionNothingWasChangedTry')}</>;
}

/** Said when the recorded drums could not be had. */
export function MadeDrums() {
  return <>{useSpeech().say.t('screen.common.theRecordedDrumsCouldNotBeLoaded')}</>;
}

/** The caution that stands wherever time, tempo or load is set. */
export function CautionLine() {
  return <>{sayCaution(useSpeech().say)}</>;
}
