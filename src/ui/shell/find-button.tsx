'use client';

import { Search } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Button, useSpeech } from '../base';
import type { PaletteProps } from './palette';

const Palette = dynamic(() => import('./palette').then((file) => file.Palette));

/** Opens the palette, which is loaded then: Ctrl K. */
export function FindButton(props: PaletteProps) {
  const { say } = useSpeech();
  const [open, setOpen] = useState(false);
  useHotkeys('mod+k', () => setOpen(!open), { enableOnFormTags: true, preventDefault: true });
  return (
    <>
      <Button look="quiet" onClick={() => setOpen(true)} aria-keyshortcuts="Control+K">
        <Search size={15} aria-hidden /> {say.t('screen.shell.find')}{' '}
        <kbd className="text-xs">{say.t('screen.shell.ctrlK')}</kbd>
      </Button>
      {open && <Palette {...props} close={() => setOpen(false)} />}
    </>
  );
}
