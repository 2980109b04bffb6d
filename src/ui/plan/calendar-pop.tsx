'use client';

import { useState } from 'react';
import type { Result } from '@/core/issue';
import {
  attemptOrSay,
  Button,
  buttonLook,
  Pop,
  PopRoot,
  PopTrigger,
  saveFile,
  useSpeech,
} from '../base';

export interface CalendarActions {
  /** The plan as a calendar file. */
  readonly file: () => Promise<Result<string>>;
  /** The secret part of the address at which it is read; or another one. */
  readonly feed: (anew: boolean) => Promise<Result<string>>;
}

/** The plan for a calendar program: as a file, or at an address that it reads again and again. */
export function CalendarPop({ name, file, feed }: CalendarActions & { name: string }) {
  const { say } = useSpeech();
  const [open, setOpen] = useState(false);
  const [address, setAddress] = useState<string | null>(null);

  async function saveCalendar() {
    const done = await attemptOrSay(file);
    if (done) saveFile(new Blob([done.value], { type: 'text/calendar' }), `${name}.ics`);
  }

  async function ask(anew: boolean) {
    const done = await attemptOrSay(() => feed(anew));
    if (done) setAddress(`${window.location.origin}/calendar/${done.value}.ics`);
  }

  return (
    <PopRoot
      open={open}
      onOpenChange={(next) => {
        setOpen(next);
        if (next && address === null) void ask(false);
      }}
    >
      <PopTrigger className={buttonLook('quiet')}>{say.t('screen.plan.calendar')}</PopTrigger>
      <Pop className="flex w-96 max-w-[90vw] flex-col gap-3 p-3">
        <Button onClick={() => void saveCalendar()}>{say.t('screen.plan.calendarFile')}</Button>
        {address !== null && (
          <>
            <label className="flex flex-col gap-1">
              <span className="label">{say.t('screen.plan.calendarAddress')}</span>
              <input
                readOnly
                className="field text-sm"
                value={address}
                onFocus={(event) => event.target.select()}
              />
            </label>
            <p className="text-sm text-soft">{say.t('screen.plan.whoHasItReads')}</p>
            <Button onClick={() => void ask(true)}>{say.t('screen.plan.anotherAddress')}</Button>
          </>
        )}
      </Pop>
    </PopRoot>
  );
}
