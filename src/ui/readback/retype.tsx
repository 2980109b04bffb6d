'use client';

import { useState, type KeyboardEvent, type ReactNode } from 'react';
import { type Result } from '@/core/issue';
import type { Retyped } from '@/core/retype';
import { sayRetyping } from '@/words';
import { type Exercise } from '@/core/recipe';
import { IssueWords, Pop, PopRoot, PopTrigger, useSpeech } from '../base';

/** Read text that can be typed anew where it stands: the recipe follows. Text that reads in several
 * ways lists them; Enter takes the first. */
export function Retype({
  label,
  text,
  exercise,
  read,
  onChoose,
  children,
  className,
}: {
  label: string;
  text: string;
  /** What is played now. */
  exercise: Exercise;
  read: (text: string) => Result<readonly Retyped[]>;
  onChoose: (retyped: Retyped) => void;
  children: ReactNode;
  className?: string;
}) {
  const { say } = useSpeech();
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState(text);
  const changed = typed.trim() !== text.trim();
  const found = changed && typed.trim() !== '' ? read(typed) : null;
  const readings = found?.ok ? found.value : [];

  function show(next: boolean) {
    setOpen(next);
    setTyped(text);
  }

  function take(one: Retyped | undefined) {
    if (!one) return;
    setOpen(false);
    onChoose(one);
  }

  function onKeyDown(event: KeyboardEvent) {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    if (!changed) setOpen(false);
    else take(readings[0]);
  }

  return (
    <PopRoot open={open} onOpenChange={show}>
      <PopTrigger className={className ?? 'phrase text-left'} aria-label={`${label}: ${text}`}>
        {children}
      </PopTrigger>
      <Pop className="w-96 p-2">
        <input
          aria-label={label}
          className="w-full border-b border-line px-1 py-1.5 outline-none"
          value={typed}
          autoComplete="off"
          spellCheck={false}
          aria-invalid={found !== null && !found.ok}
          onChange={(event) => setTyped(event.target.value)}
          onKeyDown={onKeyDown}
        />
        {found && !found.ok && (
          <p role="alert" className="m-2 border-l-3 border-warm pl-2 text-sm">
            <IssueWords issues={found.issues} />
          </p>
        )}
        <ul aria-label={say.t('screen.common.readings')} className="mt-1 max-h-60 overflow-y-auto">
          {readings.map((one, index) => (
            <li key={index}>
              <button
                type="button"
                className="w-full rounded-sm px-2 py-1 text-left text-sm hover:bg-warm-wash focus-visible:bg-warm-wash"
                onClick={() => take(one)}
              >
                {sayRetyping(say, one.means, exercise)}
              </button>
            </li>
          ))}
        </ul>
      </Pop>
    </PopRoot>
  );
}
