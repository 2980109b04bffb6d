'use client';

import { useState } from 'react';
import { ANY_NOTE, type ClosedRecipe } from '@/core/recipe';
import { sayDynamics, sayEach, saySixteenths } from '@/words';
import { Choice, type Option, useSpeech } from '../base';
import { AssignmentPhrase, TakeAway } from './phrase-parts';

type RulesAs = Extract<ClosedRecipe['as'], { kind: 'rules' }>;
type EditableRule = RulesAs['rules'][number];

const BY = { length: 'screen.bench.longNote', gap: 'screen.bench.toTheNextNote' } as const;

const PLACES = {
  any: 'screen.bench.anywhere',
  on: 'screen.bench.onTheBeat',
  off: 'screen.bench.offTheBeat',
} as const;

const ORDERS = {
  any: 'screen.bench.anyNote',
  first: 'screen.bench.firstOfTheBar',
  last: 'screen.bench.lastOfTheBar',
} as const;

const MOST_RULES = 24;

/** A teacher's own interpretation, a line for each rule; the first that fits a note counts. */
export function RulesPhrase({ as, onChange }: { as: RulesAs; onChange: (as: RulesAs) => void }) {
  const { say } = useSpeech();
  const { rules } = as;
  const set = (index: number, rule: EditableRule) =>
    onChange({ ...as, rules: rules.map((one, at) => (at === index ? rule : one)) });
  return (
    <>
      <ol className="text-[0.95rem] leading-8">
        {rules.map((rule, index) => (
          <li key={index} aria-label={say.t('screen.bench.ruleCapital', { index: index + 1 })}>
            <span className="mr-1.5 text-sm text-soft">{index + 1}</span>
            <RuleLine rule={rule} onChange={(next) => set(index, next)} />
            {rules.length > 1 && (
              <TakeAway
                what={say.t('screen.bench.rule', { index: index + 1 })}
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
          {say.t('screen.bench.addRule')}
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
  const { say } = useSpeech();
  const choose = <K extends 'by' | 'place' | 'order' | 'dynamic'>(
    key: K,
    label: string,
    texts: Readonly<Record<EditableRule[K], string>>,
  ) => {
    const options = Object.entries<string>(texts).map(([value, text]) => ({
      value: value as EditableRule[K],
      text,
    }));
    return (
      <Choice
        label={label}
        options={options}
        value={rule[key]}
        onChoose={(value) => onChange({ ...rule, [key]: value })}
      >
        {texts[rule[key]]}
      </Choice>
    );
  };
  const [first] = rule.plays;
  return say.t.rich('screen.bench.ruleLine', {
    sixteenths: saySixteenths(say),
    from: () => (
      <Sixteenths
        label={say.t('screen.common.fromCapital')}
        value={rule.from}
        onChange={(from) => onChange({ ...rule, from })}
      />
    ),
    to: () => (
      <Sixteenths
        label={say.t('screen.common.toCapital')}
        value={rule.to}
        onChange={(to) => onChange({ ...rule, to })}
      />
    ),
    by: () => choose('by', say.t('screen.bench.measured'), sayEach(say, BY)),
    place: () => choose('place', say.t('screen.bench.place'), sayEach(say, PLACES)),
    order: () => choose('order', say.t('screen.bench.order'), sayEach(say, ORDERS)),
    plays: () =>
      first && (
        <AssignmentPhrase
          label={say.t('screen.common.plays')}
          value={first}
          onChange={(next) => onChange({ ...rule, plays: [next, ...rule.plays.slice(1)] })}
        />
      ),
    level: () => choose('dynamic', say.t('screen.bench.level'), sayDynamics(say)),
    fill: () => <Fill rule={rule} onChange={onChange} />,
  });
}

/** What sounds up to the next note. */
function Fill({ rule, onChange }: { rule: EditableRule; onChange: (rule: EditableRule) => void }) {
  const { say } = useSpeech();
  const { fill } = rule;
  const options: readonly Option<'none' | 'some'>[] = [
    { value: 'none', text: say.t('screen.common.nothing') },
    {
      value: 'some',
      text: say.t('screen.bench.lowUpToTheNextNote', { sixteenths: saySixteenths(say) }),
    },
  ];
  return (
    <>
      <Choice
        label={say.t('screen.bench.filledBy')}
        options={options}
        value={fill ? 'some' : 'none'}
        onChoose={(value) =>
          onChange({ ...rule, fill: value === 'none' ? null : { limb: 'LH', voice: 'snare' } })
        }
      >
        {fill ? say.t('screen.bench.low') : say.t('screen.common.nothing')}
      </Choice>
      {fill && (
        <>
          {' '}
          <AssignmentPhrase
            label={say.t('screen.bench.fill')}
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
  const { say } = useSpeech();
  const [typed, setTyped] = useState<string | null>(null);
  const text = typed ?? (value === null ? '' : String(value));
  const read = readSixteenths(text);
  return (
    <>
      <input
        aria-label={say.t('screen.bench.inSixteenths', { label, sixteenths: saySixteenths(say) })}
        inputMode="decimal"
        placeholder={say.t('screen.bench.any')}
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
          {say.t('screen.bench.noNumberOfSixteenths', { text, sixteenths: saySixteenths(say) })}
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
