'use client';

import { Search } from 'lucide-react';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Button, useSpeech } from '../base';
import { Palette, type PaletteProps } from './palette';

/** Opens the palette: Ctrl K. It is there at once, so that no letter typed after that is lost. */
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
