'use client';

import { ok, unreachable, type Issue, type Result } from '@/core/issue';
import { interpretationName } from '@/core/interpret';
import { parseSticking } from '@/core/pattern';
import { INTERPRETATION_STARTS, type ClosedRecipe } from '@/core/recipe';
import { subdivision, type SubdivisionId } from '@/core/time';
import { Choice, Trouble, type Option } from '../base';
import { CellsPhrase } from './cells-phrase';
import { AssignmentPhrase, VoicePhrase } from './phrase-parts';
import { KeepRules } from './keep-rules';
import { useMaterials } from './library';
import { RulesPhrase } from './rules-phrase';

type As = ClosedRecipe['as'];

const STARTS: readonly Option<string>[] = INTERPRETATION_STARTS.map(({ id, name, says }) => ({
  value: id,
  text: name,
  hint: says,
}));

/** Marks a studio's own rules among the interpretations. */
const OWN = 'own ';

const LONG_FROM: readonly Option<SubdivisionId>[] = [
  { value: '4', text: 'quarter' },
  { value: '8', text: '8th' },
  { value: '16', text: '16th' },
];

const GRIDS: readonly Option<SubdivisionId>[] = (['8', '8t', '16', '16t', '32'] as const).map(
  (id) => ({ value: id, text: subdivision(id).name }),
);

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
  onRead: (id: string) => void;
}) {
  const { as } = recipe;
  const rules = useMaterials('rules').filter((one) => !one.archived);
  const options = [
    ...rules.map(({ id, name }) => ({ value: OWN + id, text: name, hint: 'own rules' })),
    ...STARTS,
  ];
  function choose(value: string) {
    const own = rules.find(({ id }) => value === OWN + id);
    if (!own) return onRead(value);
    const copies = own.content.rules.map((rule) => ({ ...rule, plays: [...rule.plays] }));
    onChange({ kind: 'rules', rules: copies });
  }
  return (
    <>
      <Choice label="Interpretation" options={options} onChoose={choose} wide>
        {interpretationName(as.kind)}
      </Choice>
      <Options recipe={recipe} onChange={onChange} />
      <Trouble issues={issues} />
    </>
  );
}

function Options({ recipe, onChange }: { recipe: ClosedRecipe; onChange: (as: As) => void }) {
  const { as } = recipe;
  switch (as.kind) {
    case 'verbatim':
      return (
        <>
          {' on '}
          <AssignmentPhrase label="On" value={as.on} onChange={(on) => onChange({ ...as, on })} />
        </>
      );
    case 'short-long':
      return (
        <>
          {': short = '}
          <AssignmentPhrase
            label="Short notes"
            value={as.short}
            onChange={(short) => onChange({ ...as, short })}
          />
          {', long = '}
          <AssignmentPhrase
            label="Long notes"
            value={as.long}
            onChange={(long) => onChange({ ...as, long })}
          />
          {', from a '}
          <LongFrom value={as.longFrom} onChoose={(longFrom) => onChange({ ...as, longFrom })} />
        </>
      );
    case 'phrase-cells':
      return <CellsPhrase as={as} recipe={recipe} onChange={onChange} />;
    case 'accent-grid':
      return (
        <>
          {': '}
          <GridPhrase value={as.grid} onChoose={(grid) => onChange({ ...as, grid })} />
          {', '}
          <Choice
            label="Sticking"
            options={STICKINGS}
            value={as.sticking}
            onChoose={(sticking) => onChange({ ...as, sticking })}
            onType={readSticking}
          >
            {as.sticking}
          </Choice>
          {' on '}
          <VoicePhrase
            label="Grid sounds"
            value={as.voice}
            onChoose={(voice) => onChange({ ...as, voice })}
          />
          {', the rest '}
          <button
            type="button"
            className="phrase"
            aria-pressed={as.doubled}
            onClick={() => onChange({ ...as, doubled: !as.doubled })}
          >
            {as.doubled ? 'doubled' : 'single'}
          </button>
        </>
      );
    case 'rules':
      return (
        <>
          <RulesPhrase as={as} onChange={onChange} />
          <KeepRules rules={as.rules} />
        </>
      );
    case 'line-fill':
      return <LineFill as={as} onChange={onChange} />;
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
  return (
    <Choice label="Long from a" options={LONG_FROM} value={value} onChoose={onChoose}>
      {LONG_FROM.find((one) => one.value === value)?.text ?? value}
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
  return (
    <Choice label="Grid" options={GRIDS} value={value} onChoose={onChoose}>
      {subdivision(value).name}
    </Choice>
  );
}

/** Hand orders that the trade has names for; others are typed. */
const STICKINGS: readonly Option<string>[] = [
  { value: 'RL', text: 'RL', hint: 'singles' },
  { value: 'LR', text: 'LR', hint: 'singles, left lead' },
  { value: 'RRLL', text: 'RRLL', hint: 'doubles' },
  { value: 'RLRRLRLL', text: 'RLRRLRLL', hint: 'paradiddles' },
  { value: 'RLLRLL', text: 'RLLRLL', hint: 'single and double' },
];

function readSticking(text: string): Result<string> {
  const words = parseSticking(text.toUpperCase(), ['as', 'sticking']);
  return words.ok ? ok(words.value.flat().join('').slice(0, 32)) : words;
}

type LineFillAs = Extract<As, { kind: 'line-fill' }>;

function LineFill({ as, onChange }: { as: LineFillAs; onChange: (as: As) => void }) {
  const part = (key: 'short' | 'long', label: string) =>
    as[key].map((one, index) => (
      <span key={index}>
        {index > 0 && ' and '}
        <AssignmentPhrase
          label={as[key].length > 1 ? `${label} ${index + 1}` : label}
          value={one}
          onChange={(next) =>
            onChange({ ...as, [key]: as[key].map((old, at) => (at === index ? next : old)) })
          }
        />
      </span>
    ));
  return (
    <>
      {': short = '}
      {part('short', 'Short notes')}
      {', long = '}
      {part('long', 'Long notes')}
      {', from a '}
      <LongFrom value={as.longFrom} onChoose={(longFrom) => onChange({ ...as, longFrom })} />
      {'; '}
      <AssignmentPhrase
        label="Fill"
        value={as.fill}
        onChange={(fill) => onChange({ ...as, fill })}
      />
      {' fills the '}
      <GridPhrase value={as.grid} onChoose={(grid) => onChange({ ...as, grid })} />
    </>
  );
}
