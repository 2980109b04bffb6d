'use client';

import { useState } from 'react';
import type { Result } from '@/core/issue';
import type { ProgramId } from '@/core/studio';
import { attemptOrSay, Button, buttonLook, Pop, PopRoot, PopTrigger, useSpeech } from '../base';

/** Where a program can be looked at by whoever has the address. */
export interface SharedAt {
  readonly path: string;
}

/** Shares a program at a private address, and takes the address away again. */
export function SharePop({
  program,
  shared,
  share,
}: {
  program: ProgramId;
  shared: SharedAt | null;
  share: (id: ProgramId, shared: boolean) => Promise<Result<SharedAt | null>>;
}) {
  const { say } = useSpeech();
  const [at, setAt] = useState(shared);
  async function set(to: boolean) {
    const done = await attemptOrSay(() => share(program, to));
    if (done) setAt(done.value);
  }
  return (
    <PopRoot>
      <PopTrigger className={buttonLook('quiet')} aria-pressed={at !== null}>
        {say.t(at ? 'screen.programs.shared' : 'screen.programs.share')}
      </PopTrigger>
      <Pop className="flex w-96 max-w-[90vw] flex-col gap-3 p-3">
        {at ? (
          <>
            <label className="flex flex-col gap-1">
              <span className="label">{say.t('screen.programs.sharedAddress')}</span>
              <input
                readOnly
                className="field text-sm"
                value={`${window.location.origin}${at.path}`}
                onFocus={(event) => event.target.select()}
              />
            </label>
            <p className="text-sm text-soft">{say.t('screen.programs.whoHasItTakes')}</p>
            <Button onClick={() => void set(false)}>{say.t('screen.programs.shareNoMore')}</Button>
          </>
        ) : (
          <Button onClick={() => void set(true)}>{say.t('screen.programs.makeAddress')}</Button>
        )}
      </Pop>
    </PopRoot>
  );
}
