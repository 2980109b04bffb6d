'use client';

import { useState } from 'react';
import { buttonLook, Button, saveFile, useSpeech } from '../base';

/** Letters of an address that a browser still opens; a larger program goes as a file. */
const MOST_LETTERS = 1_500_000;

/** A shared program, for another Mivvel: as a file, or handed over in an address of theirs, which nobody sends anywhere.
 * @param packed the bundle, packed for an address */
export function TakeAlong({
  name,
  bundle,
  packed,
}: {
  name: string;
  bundle: string;
  packed: string;
}) {
  const { say } = useSpeech();
  const [typed, setTyped] = useState('');
  const there = originOf(typed);
  return (
    <section aria-label={say.t('screen.entry.takeIt')} className="flex flex-col items-start gap-4">
      <Button
        onClick={() =>
          saveFile(new Blob([bundle], { type: 'application/json' }), `${name}.mivvel.json`)
        }
      >
        {say.t('screen.entry.saveAsFile')}
      </Button>
      {packed.length <= MOST_LETTERS && (
        <div className="flex flex-wrap items-end gap-3">
          <label className="flex flex-col">
            <span className="label">{say.t('screen.entry.yourMivvel')}</span>
            <input
              className="field w-72"
              value={typed}
              inputMode="url"
              placeholder={say.t('screen.entry.suchAs')}
              onChange={(event) => setTyped(event.target.value)}
            />
          </label>
          {there !== null && (
            <a className={buttonLook('main')} href={`${there}/programs#take=${packed}`}>
              {say.t('screen.entry.takeIt')}
            </a>
          )}
        </div>
      )}
    </section>
  );
}

/** @returns the origin of an address for the web; null for anything else */
function originOf(typed: string): string | null {
  const text = /^https?:/.test(typed.trim()) ? typed.trim() : `http://${typed.trim()}`;
  const url = typed.trim() !== '' && URL.canParse(text) ? new URL(text) : null;
  return url && /^https?:$/.test(url.protocol) ? url.origin : null;
}
