'use client';

import dynamic from 'next/dynamic';
import { createContext, useContext, useMemo, type ReactNode } from 'react';
import type { Issue } from '@/core/issue';
import { PLAIN_SPEECH, type Speech } from '@/core/studio';
import type { Syllables } from '@/core/time';
import { sayCaution, sayIssues, sayToStudentsIn, type Locale, type Say, type SayIn } from '@/words';

interface Spoken {
  readonly speech: Speech;
  /** What puts facts into words. */
  readonly say: Say;
  readonly syllables: Syllables;
}

const SpeechContext = createContext<Spoken>(spokenOf(sayToStudentsIn('en-GB')));

function spokenOf(say: Say, speech: Speech = PLAIN_SPEECH): Spoken {
  return { speech, say, syllables: say.syllables };
}

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
  return (
    <SpeechContext value={spoken}>
      {children}
      <Toasts label={spoken.say.t('screen.common.notices')} />
    </SpeechContext>
  );
}

export function useSpeech(): Spoken {
  return useContext(SpeechContext);
}

/** Issues in words, where a hook cannot be. */
export function IssueWords({ issues }: { issues: readonly Issue[] }) {
  return <>{sayIssues(useSpeech().say, issues)}</>;
}

/** Stands where something is still on its way. */
export function Loading() {
  return <>{useSpeech().say.t('screen.common.loading')}</>;
}

/** Said when the server could not be reached. */
export function NoConnection() {
  return <>{useSpeech().say.t('screen.common.noConnectionNothingWasChangedTry')}</>;
}

/** The caution that stands wherever time, tempo or load is set. */
export function CautionLine() {
  return <>{sayCaution(useSpeech().say)}</>;
}
