'use client';

import { useId, type ReactNode } from 'react';
import { LIMBS, type Limb, type VoiceId, type Assignment } from '@/core/kit';
import { DISPLACEMENT_SLOTS } from '@/core/recipe';
import { type SubdivisionId } from '@/core/time';
import { saySubdivision } from '@/words';
import { useSpeech } from '../base';
import { AssignmentPhrase, VoicePhrase } from './phrase-parts';

export const LIMB_WORDS = Object.fromEntries(LIMBS.map((limb) => [limb, limb])) as Record<
  Limb,
  string
>;

export function Row({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="flex items-center gap-2">
      <span className="label w-20 shrink-0">{label}</span>
      <div className="flex min-w-0 flex-wrap items-center gap-1">{children}</div>
    </div>
  );
}

/** A limb and voice that something goes to. */
export function PlayedBy({
  row,
  label,
  value,
  onChange,
}: {
  row: string;
  label: string;
  value: Assignment;
  onChange: (value: Assignment) => void;
}) {
  return (
    <Row label={row}>
      <AssignmentPhrase label={label} value={value} onChange={onChange} />
    </Row>
  );
}

export function VoiceRow({
  row,
  label,
  value,
  onChoose,
}: {
  row: string;
  label: string;
  value: VoiceId;
  onChoose: (value: VoiceId) => void;
}) {
  return (
    <Row label={row}>
      <VoicePhrase label={label} value={value} onChoose={onChoose} />
    </Row>
  );
}

export function Slots({
  value,
  onChoose,
}: {
  value: SubdivisionId;
  onChoose: (value: SubdivisionId) => void;
}) {
  const { say } = useSpeech();
  return (
    <Toggle
      label={say.t('screen.bench.unit')}
      bare
      options={
        Object.fromEntries(DISPLACEMENT_SLOTS.map((id) => [id, saySubdivision(say, id)])) as Record<
          SubdivisionId,
          string
        >
      }
      value={value}
      onChoose={onChoose}
    />
  );
}

/** One of a few choices, all in sight. */
export function Toggle<T extends string>({
  label,
  options,
  value,
  onChoose,
  bare = false,
}: {
  label: string;
  options: Readonly<Record<T, string>>;
  value: T;
  onChoose: (value: T) => void;
  /** Without its label beside it. */
  bare?: boolean;
}) {
  const name = useId();
  const group = (
    <div
      role="radiogroup"
      aria-label={label}
      className="flex flex-wrap rounded-sm border border-line"
    >
      {Object.entries<string>(options).map(([key, text]) => (
        <label
          key={key}
          className="relative px-2 py-0.5 text-sm has-checked:bg-ink has-checked:text-paper has-focus-visible:outline-2 has-focus-visible:outline-warm"
        >
          <input
            type="radio"
            name={name}
            className="absolute inset-0 cursor-pointer opacity-0"
            checked={key === value}
            onChange={() => onChoose(key as T)}
          />
          {text}
        </label>
      ))}
    </div>
  );
  return bare ? group : <Row label={label}>{group}</Row>;
}
