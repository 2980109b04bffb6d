import type { ReactNode } from 'react';
import type { ExternalToast } from 'sonner';

type Sonner = typeof import('sonner');
type Kind = 'message' | 'success' | 'error';

/** What was said before there was anything to show it with, in its order. */
const waiting: ((sonner: Sonner) => void)[] = [];

let shown: Sonner | null = null;

/** How long a message stays that is read, one that offers a way back, and one that says what went wrong and what to do
 * about it, which may be forty words; ms. Hands may be full. */
const READ = 5000;
const WAY_BACK = 12_000;
const TROUBLE = 30_000;

function say(kind: Kind, words: ReactNode, more?: ExternalToast): void {
  const isTrouble = kind === 'error';
  const duration = isTrouble ? TROUBLE : more?.action ? WAY_BACK : READ;
  const closeButton = isTrouble;
  const speak = ({ toast }: Sonner) => void toast[kind](words, { duration, closeButton, ...more });
  if (shown) speak(shown);
  else waiting.push(speak);
}

/** Says something in a passing message. No screen needs what shows them to be drawn first, so it comes
 * after; what is said before it is there is shown then. */
export const toast = {
  message: (words: ReactNode, more?: ExternalToast) => say('message', words, more),
  success: (words: ReactNode, more?: ExternalToast) => say('success', words, more),
  error: (words: ReactNode, more?: ExternalToast) => say('error', words, more),
};

/** Called when passing messages can be shown. @returns takes that back */
export function showToasts(sonner: Sonner): () => void {
  shown = sonner;
  for (const speak of waiting.splice(0)) speak(sonner);
  return () => {
    shown = null;
  };
}
