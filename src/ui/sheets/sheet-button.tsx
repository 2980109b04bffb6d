'use client';

import { Printer } from 'lucide-react';
import { useRef, useState } from 'react';
import type { SheetOf } from '@/core/print';
import { buttonLook, loadLate, useSpeech } from '../base';

const SheetView = loadLate(() => import('./sheet-view').then((file) => file.SheetView));

/** Opens the sheet of what is here, as it will be printed.
 * @param whatOf null where there is nothing that could be printed, and that was said */
export function SheetButton({
  name,
  whatOf,
  look = 'plain',
  children,
}: {
  name: string;
  whatOf: () => SheetOf | null;
  look?: 'plain' | 'quiet';
  children?: string;
}) {
  const { say } = useSpeech();
  const button = useRef<HTMLButtonElement>(null);
  const [what, setWhat] = useState<SheetOf | null>(null);
  return (
    <>
      <button
        ref={button}
        type="button"
        className={buttonLook(look)}
        onClick={() => setWhat(whatOf())}
      >
        <Printer size={14} aria-hidden /> {children ?? say.t('screen.common.sheet')}
      </button>
      {what && <SheetView {...{ what, name }} backTo={button} onClose={() => setWhat(null)} />}
    </>
  );
}
