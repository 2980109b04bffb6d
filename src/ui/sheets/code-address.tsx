'use client';

import { useState } from 'react';
import type { Issue } from '@/core/issue';
import { attempt, postAddress, toast, Trouble } from '../base';
import { usePaperSpeech } from './use-paper-speech';

/** Where the codes on sheets lead: the address at which others reach the studio. Empty prints none.
 * @param address what is set; null for none */
export function CodeAddress({ address, onSet }: { address: string | null; onSet: () => void }) {
  const say = usePaperSpeech();
  const [text, setText] = useState(address ?? '');
  const [issues, setIssues] = useState<readonly Issue[]>([]);

  async function set() {
    if (text.trim() === (address ?? '')) return;
    const answer = await attempt(() => postAddress(text));
    if (!answer) return void toast.error(say.t('sheet.view.addressNotSet'));
    setIssues(answer.ok ? [] : answer.issues);
    if (!answer.ok) return;
    setText(answer.value ?? '');
    onSet();
  }

  return (
    <form
      className="flex items-center gap-1.5"
      onSubmit={(event) => {
        event.preventDefault();
        void set();
      }}
    >
      <label className="flex items-center gap-1.5">
        {say.t('sheet.view.codesLeadTo')}
        <input
          className="field w-52"
          inputMode="url"
          placeholder={say.t('sheet.view.noCodes')}
          list="here"
          value={text}
          onChange={({ target }) => setText(target.value)}
          onBlur={() => void set()}
        />
      </label>
      <datalist id="here">
        <option value={window.location.origin} />
      </datalist>
      <Trouble issues={issues} />
    </form>
  );
}
