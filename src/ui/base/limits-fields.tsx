'use client';

import { LIMIT_KEYS, LIMIT_RANGE, limitsOf, USUAL_LIMITS, type KitProfile } from '@/core/kit';
import { useSpeech } from './use-speech';
import { TypedField } from './typed-field';

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
  const { least, most } = LIMIT_RANGE;
  return (
    <label className="flex flex-wrap items-baseline gap-2 py-0.5">
      <TypedField
        label={name}
        value={ms}
        write={String}
        read={(text) => {
          const typed = text.trim() === '' ? usual : Number(text);
          return typed >= least && typed <= most ? typed : undefined;
        }}
        trouble={say.t('screen.common.setTo', { least, most })}
        onTake={(next) => onSet(next === usual ? undefined : next)}
        className="field w-14 text-center"
      />
      {name}
    </label>
  );
}
