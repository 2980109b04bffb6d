'use client';

import type { ReactNode } from 'react';
import { ok, unreachable, type Issue, type Result } from '@/core/issue';
import { parseSticking } from '@/core/pattern';
import { type ClosedRecipe, INTERPRETATION_STARTS, type StartId } from '@/core/recipe';
import { type SubdivisionId } from '@/core/time';
import { sayNote, sayReadAs, sayStart, saySubdivision } from '@/words';
import { Choice, Trouble, useSpeech } from '../base';
import { CellsPhrase } from './cells-phrase';
import { sayElsewhere } from './elsewhere';
import { AssignmentPhrase, VoicePhrase } from './phrase-parts';
import { KeepRules } from './keep-rules';
import { useMaterials } from '../library';
import { RulesPhrase } from './rules-phrase';

type As = ClosedRecipe['as'];

/** Marks a studio's own rules among the interpretations. */
const OWN = 'own ';

/** From which length on a note can be called long. */
const LONG_FROM = ['4', '8', '16'] as const;

const GRIDS = ['8', '8t', '16', '16t', '32'] as const;

/** The interpretation and its options, in words that can be changed. */
export function AsPhrase({
  recipe,
  issues,
  onChange,
  onRead,
}: {
  recipe: ClosedRecipe;
  issues: readonly Issue[];
  onChange: (as: As) => void;
  /** Reads the line another way, by the id of its start. */
  onRead: (id: StartId) => void;
}) {
  const { say } = useSpeech();
  const { as } = recipe;
  const rules = useMaterials('rules').filter((one) => !one.archived);
  const options = [
    ...rules.map(({ id, name }) => ({
      value: OWN + id,
      text: name,
      hint: say.t('screen.common.ownRules'),
    })),
    ...INTERPRETATION_STARTS.map(({ id }) => {
      const { name, says } = sayStart(say, id);
      return { value: id as string, text: name, hint: says };
    }),
  ];
  function choose(value: string) {
    const own = rules.find(({ id }) => value === OWN + id);
    const start = INTERPRETATION_STARTS.find(({ id }) => id === value);
    if (start) return onRead(start.id);
    if (!own) return;
    const copies = own.content.rules.map((rule) => ({ ...rule, plays: [...rule.plays] }));
    onChange({ kind: 'rules', rules: copies });
  }
  return (
    <>
      <Options
        name={
          <Choice
            label={say.t('screen.bench.interpretation')}
            options={options}
            onChoose={choose}
            elsewhere={(text) => sayElsewhere(say, text, 'interpretation')}
            wide
          >
            {sayReadAs(say, as.kind)}
          </Choice>
        }
        {...{ recipe, onChange }}
      />
      <Trouble issues={issues} />
    </>
  );
}

function Options({
  name,
  recipe,
  onChange,
}: {
  /** The interpretation itself. */
  name: ReactNode;
  recipe: ClosedRecipe;
  onChange: (as: As) => void;
}) {
  const { say } = useSpeech();
  const { as } = recipe;
  switch (as.kind) {
    case 'verbatim':
      return say.t.rich('screen.bench.asWritten', {
        as: () => name,
        on: () => (
          <AssignmentPhrase
            label={say.t('screen.bench.onCapital')}
            value={as.on}
            onChange={(on) => onChange({ ...as, on })}
          />
        ),
      });
    case 'short-long':
      return say.t.rich('screen.bench.asShortLong', {
        as: () => name,
        short: () => (
          <AssignmentPhrase
            label={say.t('screen.bench.shortNotes')}
            value={as.short}
            onChange={(short) => onChange({ ...as, short })}
          />
        ),
        long: () => (
          <AssignmentPhrase
            label={say.t('screen.bench.longNotes')}
            value={as.long}
            onChange={(long) => onChange({ ...as, long })}
          />
        ),
        from: () => (
          <LongFrom value={as.longFrom} onChoose={(longFrom) => onChange({ ...as, longFrom })} />
        ),
      });
    case 'phrase-cells':
      return <CellsPhrase {...{ name, as, recipe, onChange }} />;
    case 'accent-grid':
      return say.t.rich('screen.bench.asGrid', {
        as: () => name,
        grid: () => <GridPhrase value={as.grid} onChoose={(grid) => onChange({ ...as, grid })} />,
        sticking: () => (
          <Choice
            label={say.t('screen.common.sticking')}
            options={STICKINGS.map(({ value, key }) => ({ value, text: value, hint: say.t(key) }))}
            value={as.sticking}
            onChoose={(sticking) => onChange({ ...as, sticking })}
            onType={readSticking}
          >
            {as.sticking}
          </Choice>
        ),
        on: () => (
          <VoicePhrase
            label={say.t('screen.bench.gridSounds')}
            value={as.voice}
            onChoose={(voice) => onChange({ ...as, voice })}
          />
        ),
        rest: () => (
          <button
            type="button"
            className="phrase"
            aria-pressed={as.doubled}
            onClick={() => onChange({ ...as, doubled: !as.doubled })}
          >
            {as.doubled ? say.t('screen.bench.doubled') : say.t('screen.bench.single')}
          </button>
        ),
      });
    case 'rules':
      return (
        <>
          {name}
          <RulesPhrase as={as} onChange={onChange} />
          <KeepRules rules={as.rules} />
        </>
      );
    case 'line-fill':
      return <LineFill name={name} as={as} onChange={onChange} />;
    default:
      return unreachable(as);
  }
}

function LongFrom({
  value,
  onChoose,
}: {
  value: SubdivisionId;
  onChoose: (value: SubdivisionId) => void;
}) {
  const { say } = useSpeech();
  const options = LONG_FROM.map((id) => ({ value: id, text: sayNote(say, id) }));
  return (
    <Choice<SubdivisionId>
      label={say.t('screen.bench.longFromA')}
      options={options}
      value={value}
      onChoose={onChoose}
    >
      {options.find((one) => one.value === value)?.text ?? value}
    </Choice>
  );
}

function GridPhrase({
  value,
  onChoose,
}: {
  value: SubdivisionId;
  onChoose: (value: SubdivisionId) => void;
}) {
  const { say } = useSpeech();
  return (
    <Choice<SubdivisionId>
      label={say.t('screen.common.gridCapital')}
      options={GRIDS.map((id) => ({ value: id, text: saySubdivision(say, id) }))}
      value={value}
      onChoose={onChoose}
    >
      {saySubdivision(say, value)}
    </Choice>
  );
}

/** Hand orders that the trade has names for; others are typed. */
const STICKINGS = [
  { value: 'RL', key: 'screen.bench.singles' },
  { value: 'LR', key: 'screen.bench.singlesLeftLead' },
  { value: 'RRLL', key: 'screen.bench.doubles' },
  { value: 'RLRRLRLL', key: 'screen.bench.paradiddles' },
  { value: 'RLLRLL', key: 'screen.bench.singleAndDouble' },
] as const;

function readSticking(text: string): Result<string> {
  const words = parseSticking(text.toUpperCase(), ['as', 'sticking']);
  return words.ok ? ok(words.value.flat().join('').slice(0, 32)) : words;
}

type LineFillAs = Extract<As, { kind: 'line-fill' }>;

function LineFill({
  name,
  as,
  onChange,
}: {
  name: ReactNode;
  as: LineFillAs;
  onChange: (as: As) => void;
}) {
  const { say } = useSpeech();
  const part = (key: 'short' | 'long', label: string) =>
    as[key].map((one, index) => (
      <span key={index}>
        {index > 0 && ` ${say.t('screen.common.andThen')} `}
        <AssignmentPhrase
          label={as[key].length > 1 ? `${label} ${index + 1}` : label}
          value={one}
          onChange={(next) =>
            onChange({ ...as, [key]: as[key].map((old, at) => (at === index ? next : old)) })
          }
        />
      </span>
    ));
  return say.t.rich('screen.bench.asFill', {
    as: () => name,
    short: () => part('short', say.t('screen.bench.shortNotes')),
    long: () => part('long', say.t('screen.bench.longNotes')),
    from: () => (
      <LongFrom value={as.longFrom} onChoose={(longFrom) => onChange({ ...as, longFrom })} />
    ),
    fill: () => (
      <AssignmentPhrase
        label={say.t('screen.bench.fill')}
        value={as.fill}
        onChange={(fill) => onChange({ ...as, fill })}
      />
    ),
    grid: () => <GridPhrase value={as.grid} onChoose={(grid) => onChange({ ...as, grid })} />,
  });
}
