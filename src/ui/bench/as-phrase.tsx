'use client';

import { fail, ok, unreachable, type Issue, type Result } from '@/core/issue';
import { cellAlternates, cellsOf, interpretationName } from '@/core/interpret';
import { parseSticking } from '@/core/pattern';
import { parseLine } from '@/core/reading';
import { INTERPRETATION_STARTS, type ClosedRecipe } from '@/core/recipe';
import { parseMeter, subdivision, type SubdivisionId } from '@/core/time';
import { Choice, Trouble, type Option } from '../base';
import { AssignmentPhrase, VoicePhrase } from './phrase-parts';
import { KeepRules } from './keep-rules';
import { useMaterials } from './library';
import { RulesPhrase } from './rules-phrase';
import { VersionNote } from './version-note';

type As = ClosedRecipe['as'];
type PhraseCells = Extract<As, { kind: 'phrase-cells' }>;

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
      return <Cells as={as} recipe={recipe} onChange={onChange} />;
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

function Cells({
  as,
  recipe,
  onChange,
}: {
  as: PhraseCells;
  recipe: ClosedRecipe;
  onChange: (as: As) => void;
}) {
  const meter = parseMeter(recipe.meter);
  const content = recipe.play?.content;
  const text = content && 'text' in content ? content.text : null;
  const line = meter.ok && text !== null ? parseLine(text, meter.value) : null;
  const cells = line?.ok ? cellsOf(line.value, { cells: as.cells.content, chosen: as.chosen }) : [];
  const setCell = (gap: number, cell: string) =>
    onChange({ ...as, chosen: { ...as.chosen, [gap]: cell } });
  return (
    <>
      <CellSetPhrase as={as} onChange={onChange} />
      {cells.length > 0 && ': '}
      {cells.map(({ gap, cell }, index) => (
        <span key={index}>
          <Choice
            label={`Cell for ${gap} 16ths`}
            options={cellOptions(gap, as)}
            value={cell ?? undefined}
            onChoose={(next) => setCell(gap, next)}
            onType={(text) => readCell(text, gap)}
          >
            {cell ?? `${gap} ?`}
          </Choice>{' '}
        </span>
      ))}
      <span className="block text-[0.85rem] leading-7 text-soft">
        R on{' '}
        <VoicePhrase
          label="R sounds"
          value={as.voices.R}
          onChoose={(id) => onChange({ ...as, voices: { ...as.voices, R: id } })}
        />
        , L on{' '}
        <VoicePhrase
          label="L sounds"
          value={as.voices.L}
          onChoose={(id) => onChange({ ...as, voices: { ...as.voices, L: id } })}
        />
        , K on{' '}
        <VoicePhrase
          label="K sounds"
          value={as.voices.K}
          onChoose={(id) => onChange({ ...as, voices: { ...as.voices, K: id } })}
        />
        ,{' '}
        <button
          type="button"
          className="phrase"
          aria-pressed={as.accentLastOfSix}
          onClick={() => onChange({ ...as, accentLastOfSix: !as.accentLastOfSix })}
        >
          last left of a six {as.accentLastOfSix ? 'accented' : 'ghosted'}
        </button>
      </span>
    </>
  );
}

/** Which set the cells come from, where there is more than one. */
function CellSetPhrase({ as, onChange }: { as: PhraseCells; onChange: (as: As) => void }) {
  const sets = useMaterials('cells');
  const free = sets.filter((one) => !one.archived);
  const take = ({ id, version, content }: (typeof sets)[number]) =>
    onChange({
      ...as,
      cells: { id, version, content: { name: content.name, cells: { ...content.cells } } },
      chosen: {},
    });
  if (free.length < 2) return null;
  return (
    <>
      {' from '}
      <Choice
        label="Cell set"
        options={free.map(({ id, name }) => ({ value: id, text: name }))}
        value={as.cells.id}
        onChoose={(id) => {
          const set = free.find((one) => one.id === id);
          if (set) take(set);
        }}
      >
        {as.cells.content.name}
      </Choice>
      <VersionNote of={as.cells} kind="cells" onUpdate={take} />
    </>
  );
}

/** Most alternates that a chooser lists. */
const MOST_CELLS = 40;

function cellOptions(gap: number, as: PhraseCells): readonly Option<string>[] {
  const usual = as.cells.content.cells[gap];
  const others = gap <= 16 ? cellAlternates(gap).filter((cell) => cell !== usual) : [];
  const chosen = as.chosen[gap];
  const all = new Set([usual, chosen, ...others].filter((cell) => cell !== undefined));
  return [...all]
    .slice(0, MOST_CELLS)
    .map((cell) => ({ value: cell, text: cell, hint: cellHint(cell, usual) }));
}

function cellHint(cell: string, usual: string | undefined): string | undefined {
  if (cell === usual) return 'usual';
  return cell.endsWith('L') ? 'leaves on the left' : undefined;
}

function readCell(text: string, gap: number): Result<string> {
  const words = parseSticking(text.toUpperCase(), ['as', 'cells', gap]);
  if (!words.ok) return words;
  const cell = words.value.flat().join('');
  if (cell.length === gap) return ok(cell);
  return fail({ code: 'cell-length', path: ['as', 'cells', gap], gap, sticking: cell });
}
