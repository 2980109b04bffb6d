'use client';

import { Search } from 'lucide-react';
import { useEffect, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Button, loadLate, useSpeech } from '../base';
import type { PaletteProps } from './palette';

const Palette = loadLate(() => import('./palette').then((room) => room.Palette));

/** Opens the palette: Ctrl K. What is typed before it is there stands in it. */
export function FindButton(props: PaletteProps) {
  const { say } = useSpeech();
  const [typed, setTyped] = useState<string | null>(null);
  const open = typed !== null;
  const close = () => setTyped(null);
  useHotkeys('mod+k', open ? close : () => setTyped(''), {
    enableOnFormTags: true,
    preventDefault: true,
  });
  useEffect(() => Palette.load(), []);
  useEffect(() => {
    if (!open) return;
    const onKey = (event: KeyboardEvent) => {
      const types = event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey;
      if (!types || document.querySelector('[cmdk-root]')) return;
      event.preventDefault();
      event.stopPropagation();
      setTyped((before) => before + event.key);
    };
    window.addEventListener('keydown', onKey, { capture: true });
    return () => window.removeEventListener('keydown', onKey, { capture: true });
  }, [open]);
  return (
    <>
      <Button look="quiet" onClick={() => setTyped('')} aria-keyshortcuts="Control+K">
        <Search size={15} aria-hidden /> {say.t('screen.shell.find')}{' '}
        <kbd className="text-xs">{say.t('screen.shell.ctrlK')}</kbd>
      </Button>
      {open && <Palette {...props} typed={typed} onType={setTyped} close={close} />}
    </>
  );
}
