'use client';

import { useState } from 'react';
import { LIMIT_KEYS, LIMIT_RANGE, limitsOf, USUAL_LIMITS, type KitProfile } from '@/core/kit';
import { useSpeech } from './speech';

/** What is too near on a kit, in ms: each limit a field; an empty one is the usual. */
export function LimitsFields({
  limits,
  onSet,
}: {
  limits: KitProfile['limits'];
  onSet: (limits: NonNullable<KitProfile['limits']>) => void;
}) {
  const { say } = useSpeech();
  return (
    <fieldset>
      <legend className="label mb-1">{say.t('screen.common.warnWhenCloserThanInMs')}</legend>
      {LIMIT_KEYS.map((key) => (
        <LimitField
          key={key}
          name={say.t(`kit.limit.${key}`)}
          ms={limitsOf({ limits })[key]}
          usual={USUAL_LIMITS[key]}
          onSet={(ms) => onSet({ ...limits, [key]: ms })}
        />
      ))}
    </fieldset>
  );
}

function LimitField({
  name,
  ms,
  usual,
  onSet,
}: {
  name: string;
  ms: number;
  usual: number;
  onSet: (ms: number | undefined) => void;
}) {
  const { say } = useSpeech();
  const [text, setText] = useState(String(ms));
  const value = Number(text.trim() || NaN);
  const { least, most } = LIMIT_RANGE;
  const wrong = text.trim() !== '' && !(value >= least && value <= most);

  function take() {
    if (wrong) return;
    if (text.trim() === '') setText(String(usual));
    const next = text.trim() === '' ? usual : value;
    if (next !== ms) onSet(next === usual ? undefined : next);
  }

  return (
    <label className="flex items-baseline gap-2 py-0.5">
      <input
        className="field w-14 text-center"
        inputMode="numeric"
        value={text}
        aria-invalid={wrong}
        onChange={(event) => setText(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => event.key === 'Enter' && take()}
      />
      {name}
      {wrong && (
        <span role="alert" className="text-sm">
          {say.t('screen.common.setTo', { least, most })}
        </span>
      )}
    </label>
  );
}
