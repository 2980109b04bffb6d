'use client';

import { Moon, Sun } from 'lucide-react';
import { useSyncExternalStore } from 'react';
import { Button, useSpeech } from '../base';

const YEAR_SECONDS = 365 * 24 * 3600;
const CHANGED = 'mivvel-theme';

function isDark(): boolean {
  const chosen = document.documentElement.dataset.theme;
  return chosen ? chosen === 'dark' : matchMedia('(prefers-color-scheme: dark)').matches;
}

function subscribe(tell: () => void): () => void {
  const system = matchMedia('(prefers-color-scheme: dark)');
  system.addEventListener('change', tell);
  window.addEventListener(CHANGED, tell);
  return () => {
    system.removeEventListener('change', tell);
    window.removeEventListener(CHANGED, tell);
  };
}

/** Light or dark; the choice is kept in a cookie, so that the next page comes in it. */
export function ThemeSwitch({ size = 16 }: { size?: number }) {
  const { say } = useSpeech();
  const dark = useSyncExternalStore(subscribe, isDark, () => false);
  return (
    <Button
      look="quiet"
      aria-label={dark ? say.t('screen.common.light') : say.t('screen.shell.dark')}
      title={dark ? say.t('screen.common.light') : say.t('screen.shell.dark')}
      onClick={() => {
        const next = dark ? 'light' : 'dark';
        document.documentElement.dataset.theme = next;
        document.cookie = `mivvel-theme=${next}; path=/; max-age=${YEAR_SECONDS}; samesite=lax`;
        window.dispatchEvent(new Event(CHANGED));
      }}
    >
      {dark ? <Sun size={size} aria-hidden /> : <Moon size={size} aria-hidden />}
    </Button>
  );
}
