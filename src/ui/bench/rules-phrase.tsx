'use client';

import { useState } from 'react';
import type { Rule } from '@/core/interpret';
import { DYNAMICS } from '@/core/pattern';
import { ANY_NOTE, type ClosedRecipe } from '@/core/recipe';
import { Choice, type Option } from '../base';
import { AssignmentPhrase, TakeAway } from './phrase-parts';

type RulesAs = Extract<ClosedRecipe['as'], { kind: 'rules' }>;
type EditableRule = RulesAs['rules'][number];

const BY: readonly Option<Rule['by']>[] = [
  { value: 'length', text: 'long' },
  { value: 'gap', text: 'to the next note' },
];

const PLACES: readonly Option<Rule['place']>[] = [
  { value: 'any', text: 'anywhere' },
  { value: 'on', text: 'on the beat' },
  { value: 'off', text: 'off the beat' },
];

const ORDERS: readonly Option<Rule['order']>[] = [
  { value: 'any', text: 'any note' },
  { value: 'first', text: 'first of the bar' },
  { value: 'last', text: 'last of the bar' },
];

const LEVELS: readonly Option<Rule['dynamic']>[] = DYNAMICS.map((value) => ({
  value,
  text: value,
}));

const FILLS: readonly Option<'none' | 'some'>[] = [
  { value: 'none', text: 'nothing' },
  { value: 'some', text: 'low 16ths up to the next note' },
];

const MOST_RULES = 24;

/** A teacher's own interpretation, a line for each rule; the first that fits a note counts. */
export function RulesPhrase({ as, onChange }: { as: RulesAs; onChange: (as: RulesAs) => void }) {
  const { rules } = as;
  const set = (index: number, rule: EditableRule) =>
    onChange({ ...as, rules: rules.map((one, at) => (at === index ? rule : one)) });
  return (
    <>
      <ol className="text-[0.95rem] leading-8">
        {rules.map((rule, index) => (
          <li key={index} aria-label={`Rule ${index + 1}`}>
            <span className="mr-1.5 text-sm text-soft">{index + 1}</span>
            <RuleLine rule={rule} onChange={(next) => set(index, next)} />
            {rules.length > 1 && (
              <TakeAway
                what={`rule ${index + 1}`}
                onClick={() => onChange({ ...as, rules: rules.filter((_, at) => at !== index) })}
              />
            )}
          </li>
        ))}
      </ol>
      {rules.length < MOST_RULES && (
        <button
          type="button"
          className="phrase-add text-[0.95rem]"
          onClick={() => onChange({ ...as, rules: [...rules, structuredClone(ANY_NOTE)] })}
        >
          + rule
        </button>
      )}
    </>
  );
}

function RuleLine({
  rule,
  onChange,
}: {
  rule: EditableRule;
  onChange: (rule: EditableRule) => void;
}) {
  const choose = <K extends 'by' | 'place' | 'order' | 'dynamic'>(
    key: K,
    label: string,
    options: readonly Option<EditableRule[K]>[],
  ) => (
    <Choice
      label={label}
      options={options}
      value={rule[key]}
      onChoose={(value) => onChange({ ...rule, [key]: value })}
    >
      {options.find((one) => one.value === rule[key])?.text}
    </Choice>
  );
  const [first] = rule.plays;
  const { fill } = rule;
  return (
    <>
      <Sixteenths label="From" value={rule.from} onChange={(from) => onChange({ ...rule, from })} />
      {' to '}
      <Sixteenths label="To" value={rule.to} onChange={(to) => onChange({ ...rule, to })} />
      {' 16ths '}
      {choose('by', 'Measured', BY)}, {choose('place', 'Place', PLACES)},{' '}
      {choose('order', 'Order', ORDERS)}
      {' = '}
      {first && (
        <AssignmentPhrase
          label="Plays"
          value={first}
          onChange={(next) => onChange({ ...rule, plays: [next, ...rule.plays.slice(1)] })}
        />
      )}{' '}
      {choose('dynamic', 'Level', LEVELS)}, filled by{' '}
      <Choice
        label="Filled by"
        options={FILLS}
        value={fill ? 'some' : 'none'}
        onChoose={(value) =>
          onChange({ ...rule, fill: value === 'none' ? null : { limb: 'LH', voice: 'snare' } })
        }
      >
        {fill ? 'low' : 'nothing'}
      </Choice>
      {fill && (
        <>
          {' '}
          <AssignmentPhrase
            label="Fill"
            value={fill}
            onChange={(next) => onChange({ ...rule, fill: next })}
          />
        </>
      )}
    </>
  );
}

/** A number of 16ths, or nothing for an open end. What is no number stays until it is mended. */
function Sixteenths({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number | null;
  onChange: (value: number | null) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const text = typed ?? (value === null ? '' : String(value));
  const read = readSixteenths(text);
  return (
    <>
      <input
        aria-label={`${label}, 16ths`}
        inputMode="decimal"
        placeholder="any"
        className="field w-10 text-center"
        value={text}
        aria-invalid={read === undefined}
        onChange={(event) => {
          setTyped(event.target.value);
          const next = readSixteenths(event.target.value);
          if (next !== undefined) onChange(next);
        }}
        onBlur={() => read !== undefined && setTyped(null)}
      />
      {read === undefined && (
        <span role="alert" className="mx-1 border-l-3 border-warm pl-2 text-sm">
          “{text}” is not a number of 16ths. Type one from 0 to 256, or nothing.
        </span>
      )}
    </>
  );
}

function readSixteenths(text: string): number | null | undefined {
  if (text.trim() === '') return null;
  const value = Number(text);
  return Number.isFinite(value) && value >= 0 && value <= 256 ? value : undefined;
}
