'use client';

import { VOICES, type VoiceId } from '@/core/kit';
import type { FileLook } from '@/core/studio';
import { sayVoice, type Say } from '@/words';

type Keys = Extract<FileLook, { kind: 'music' }>['keys'];

/** Keys that are no drum of ours: what each sounds as. */
export function KeyVoices({
  say,
  keys,
  onChange,
}: {
  say: Say;
  keys: Keys;
  onChange: (key: number, voice: VoiceId | null) => void;
}) {
  return (
    <section aria-label={say.t('imports.keys')}>
      <h3 className="label">{say.t('imports.keys')}</h3>
      <ul className="flex flex-wrap gap-x-6 gap-y-1">
        {keys.map(({ key, count, voice }) => (
          <li key={key}>
            <label className="flex items-center gap-2">
              <span>{say.t('imports.keyNotes', { key: String(key), count })}</span>
              <select
                className="field"
                value={voice ?? ''}
                onChange={({ target }) =>
                  onChange(key, VOICES.find(({ id }) => id === target.value)?.id ?? null)
                }
              >
                <option value="">{say.t('imports.asNothing')}</option>
                {VOICES.map(({ id }) => (
                  <option key={id} value={id}>
                    {sayVoice(say, id)}
                  </option>
                ))}
              </select>
            </label>
          </li>
        ))}
      </ul>
    </section>
  );
}
