'use client';

import { SlidersHorizontal } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { Button, loadLate, useSpeech } from '../base';
import type { SetUp as Settings } from './kept';
import type { OnStand } from './set-up-dialog';

const SetUpDialog = loadLate(() => import('./set-up-dialog').then((room) => room.SetUpDialog));

/** The button to set up this device. */
export function SetUp(fields: {
  settings: Settings;
  of: OnStand;
  onSet: (change: Partial<Settings>) => void;
}) {
  const { say } = useSpeech();
  const [open, setOpen] = useState(false);
  const trigger = useRef<HTMLButtonElement>(null);
  useEffect(() => SetUpDialog.load(), []);
  function close() {
    setOpen(false);
    trigger.current?.focus();
  }
  return (
    <>
      <Button
        ref={trigger}
        aria-haspopup="dialog"
        aria-expanded={open}
        onClick={() => setOpen(true)}
      >
        <SlidersHorizontal size={18} aria-hidden /> {say.t('screen.stand.setUp')}
      </Button>
      {open && <SetUpDialog {...fields} onClose={close} />}
    </>
  );
}
