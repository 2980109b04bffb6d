'use client';

import { Minus, Plus, X } from 'lucide-react';
import { limbTaking, LIMBS, parseVoice, VOICES, type VoiceId, type Assignment } from '@/core/kit';
import type { Bounds } from '@/core/transform';
import { sayLimb, sayVoice } from '@/words';
import { Choice, useSpeech } from '../base';

export function VoicePhrase({
  label,
  value,
  onChoose,
}: {
  label: string;
  value: VoiceId;
  onChoose: (value: VoiceId) => void;
}) {
  const { say } = useSpeech();
  return (
    <Choice
      label={label}
      options={VOICES.map(({ id, letter }) => ({
        value: id,
        text: sayVoice(say, id),
        hint: letter,
      }))}
      value={value}
      onChoose={onChoose}
      onType={(text) => parseVoice(text, [])}
    >
      {sayVoice(say, value)}
    </Choice>
  );
}

/** A voice and the limb that plays it. A pedal takes a foot with it, a drum or cymbal a hand. */
export function AssignmentPhrase({
  label,
  value,
  onChange,
}: {
  label: string;
  value: Assignment;
  onChange: (value: Assignment) => void;
}) {
  const { say } = useSpeech();
  return (
    <>
      <VoicePhrase
        label={say.t('screen.bench.voiceOf', { label })}
        value={value.voice}
        onChoose={(id) => onChange({ voice: id, limb: limbTaking(id, value.limb) })}
      />{' '}
      <Choice
        label={say.t('screen.bench.limb', { label })}
        options={LIMBS.map((limb) => ({ value: limb, text: sayLimb(say, limb) }))}
        value={value.limb}
        onChoose={(limb) => onChange({ ...value, limb })}
      >
        {value.limb}
      </Choice>
    </>
  );
}

export function TakeAway({ what, onClick }: { what: string; onClick: () => void }) {
  const { say } = useSpeech();
  return (
    <button
      type="button"
      onClick={onClick}
      aria-label={say.t('screen.bench.takeAway', { what })}
      title={say.t('screen.bench.takeAway', { what })}
      className="inline-flex size-6 items-center justify-center rounded-sm align-middle text-soft hover:bg-faint hover:text-ink"
    >
      <X size={14} aria-hidden />
    </button>
  );
}

/** A whole number with a step down and a step up. */
export function Stepper({
  label,
  value,
  bounds: { least, most },
  signed = false,
  onChange,
}: {
  label: string;
  value: number;
  bounds: Bounds;
  /** Says which way, as for what can be earlier or later. */
  signed?: boolean;
  onChange: (value: number) => void;
}) {
  const { say } = useSpeech();
  const look =
    'hover:bg-faint inline-flex size-7 items-center justify-center rounded-sm disabled:opacity-40';
  return (
    <span className="inline-flex items-center" role="group" aria-label={label}>
      <button
        type="button"
        className={look}
        aria-label={say.t('screen.bench.less')}
        disabled={value <= least}
        onClick={() => onChange(Math.min(most, value - 1))}
      >
        <Minus size={14} aria-hidden />
      </button>
      <output className="min-w-7 text-center">{signed && value > 0 ? `+${value}` : value}</output>
      <button
        type="button"
        className={look}
        aria-label={say.t('screen.bench.more')}
        disabled={value >= most}
        onClick={() => onChange(Math.max(least, value + 1))}
      >
        <Plus size={14} aria-hidden />
      </button>
    </span>
  );
}
