'use client';

import { useId, type ReactNode } from 'react';
import { ok, type Issue, type Result } from '@/core/issue';
import { LIMB_POLICIES, type LimbPolicy } from '@/core/interpret';
import { looksTyped, readOstinato, SHIPPED_KITS, SHIPPED_OSTINATOS } from '@/core/materials';
import {
  readAs,
  sayPolicy,
  toggleOstinato,
  type ClosedRecipe,
  type Exercise,
  type Recipe,
} from '@/core/recipe';
import { formatFeel, formatMeter, parseFeel, parseMeter } from '@/core/time';
import { Choice, issuesAt, Trouble, type Option } from '../base';
import { AsPhrase } from './as-phrase';
import { AddChange, ChangesPhrase } from './changes-phrase';
import { LineField } from './line-field';
import { TakeAway } from './phrase-parts';

const OSTINATI: readonly Option<string>[] = Object.entries(SHIPPED_OSTINATOS).map(
  ([value, one]) => ({ value, text: one.name, hint: one.meter }),
);

const KITS: readonly Option<string>[] = Object.entries(SHIPPED_KITS).map(([value, kit]) => ({
  value,
  text: kit.name,
}));

const METERS: readonly Option<string>[] = [
  { value: '4/4', text: '4/4' },
  { value: '3/4', text: '3/4' },
  { value: '2/4', text: '2/4' },
  { value: '5/4', text: '5/4', hint: '3+2' },
  { value: '5/4 2+3', text: '5/4', hint: '2+3' },
  { value: '6/8', text: '6/8' },
  { value: '12/8', text: '12/8' },
  { value: '7/8', text: '7/8', hint: '2+2+3' },
  { value: '7/8 2+3+2', text: '7/8', hint: '2+3+2' },
  { value: '7/8 3+2+2', text: '7/8', hint: '3+2+2' },
];

const FEELS = ['straight', 'triplets', '2:1', '3:2', '3:1', '5:3'];

const POLICIES: readonly Option<LimbPolicy>[] = LIMB_POLICIES.map((policy) => ({
  value: policy,
  text: sayPolicy(policy),
}));

const MOST_OSTINATI = 4;

/** The recipe as a sentence in fixed short lines, read and edited in place. `about` joins edits
 * that are one for undo. */
export function SentenceEditor({
  recipe,
  exercise,
  issues,
  onChange,
  onSettle,
}: {
  recipe: ClosedRecipe;
  exercise: Exercise | null;
  issues: readonly Issue[];
  onChange: (recipe: ClosedRecipe, about?: string) => void;
  onSettle: () => void;
}) {
  const clash = issuesAt(issues, 'clash');
  const meets = clash.length > 0 || (exercise?.shared.length ?? 0) > 0;
  return (
    <section aria-label="Exercise" className="sentence flex flex-col">
      <Line label="Over">
        <OverPhrase recipe={recipe} onChange={onChange} />
        <Trouble issues={issuesAt(issues, 'over')} />
      </Line>
      <Line label="Play">
        <LineField
          play={recipe.play}
          meter={recipe.meter}
          issues={issuesAt(issues, 'play')}
          onChange={(play) => onChange({ ...recipe, play }, 'play')}
          onSettle={onSettle}
        />
      </Line>
      {recipe.play && (
        <Line label="As">
          <AsPhrase
            recipe={recipe}
            issues={issuesAt(issues, 'as')}
            onChange={(as) => onChange({ ...recipe, as })}
            onRead={(id) => onChange(readAs(recipe, id))}
          />
        </Line>
      )}
      {meets && (
        <Line label="Where limbs meet">
          <Choice
            label="Where limbs meet"
            options={POLICIES}
            value={recipe.clash}
            onChoose={(policy) => onChange({ ...recipe, clash: policy })}
          >
            {sayPolicy(recipe.clash)}
          </Choice>
          <Trouble issues={clash} />
        </Line>
      )}
      {recipe.changes.length > 0 && (
        <Line label="Changed by">
          <ChangesPhrase
            changes={recipe.changes}
            onChange={(changes, about) => onChange({ ...recipe, changes }, about)}
          />
        </Line>
      )}
      <Line label="At">
        <MeterPhrase recipe={recipe} onChange={onChange} />
        {', '}
        <FeelPhrase recipe={recipe} onChange={onChange} />
        <Trouble issues={issuesAt(issues, 'meter')} />
      </Line>
      <Line label="For">
        <Choice
          label="Kit"
          options={KITS}
          value={recipe.kit.id}
          onChoose={(id) => {
            const kit = SHIPPED_KITS[id];
            if (kit)
              onChange({
                ...recipe,
                kit: { id, version: 1, content: { ...kit, voices: [...kit.voices] } },
              });
          }}
        >
          {recipe.kit.content.name}
        </Choice>
        <span className="ml-4">
          <AddChange
            onAdd={(change) => onChange({ ...recipe, changes: [...recipe.changes, change] })}
          />
        </span>
      </Line>
    </section>
  );
}

function Line({ label, children }: { label: string; children: ReactNode }) {
  const id = useId();
  return (
    <div role="group" aria-labelledby={id} className="flex items-baseline gap-3">
      <span id={id} className="label w-24 shrink-0 text-right leading-8">
        {label}
      </span>
      <div className="min-w-0 flex-1 leading-8">{children}</div>
    </div>
  );
}

type OnChange = (recipe: ClosedRecipe) => void;

function OverPhrase({ recipe, onChange }: { recipe: ClosedRecipe; onChange: OnChange }) {
  const { over } = recipe;
  const free = OSTINATI.filter((option) => !over.some((one) => one.id === option.value));
  return (
    <>
      {over.map((one, index) => (
        <span key={index} className="whitespace-nowrap">
          {index > 0 && <span className="text-soft">+ </span>}
          <Choice
            label="What keeps going"
            options={OSTINATI}
            value={one.id}
            wide
            placeholder={TYPE_IT}
            offer={(text) => typedOptions(text, recipe)}
            onType={(text) => readTyped(text, recipe)}
            onChoose={(id) => onChange(replaceOstinato(recipe, index, id))}
          >
            {one.content.name}
          </Choice>
          <TakeAway
            what={one.content.name}
            onClick={() => onChange({ ...recipe, over: over.filter((_, at) => at !== index) })}
          />
        </span>
      ))}
      {over.length < MOST_OSTINATI && (
        <Choice
          label="What keeps going"
          options={free}
          className="phrase-add"
          wide
          placeholder={TYPE_IT}
          offer={(text) => typedOptions(text, recipe)}
          onType={(text) => readTyped(text, recipe)}
          onChoose={(id) => onChange(addOstinato(recipe, id))}
        >
          {over.length === 0 ? '+ what keeps going' : '+'}
        </Choice>
      )}
    </>
  );
}

const TYPE_IT = 'a name, or typed: K: x--x--x-, or K: 1 & 3 &; S: 2 4';

/** Marks an ostinato that was typed and has no id: its content follows as JSON. */
const TYPED = 'typed ';

function typedOptions(text: string, recipe: ClosedRecipe): readonly Option<string>[] {
  const meter = parseMeter(recipe.meter);
  if (!looksTyped(text) || !meter.ok) return [];
  const read = readOstinato(text, meter.value);
  if (!read.ok) return [];
  return read.value.map(({ ostinato, says }) => ({
    value: TYPED + JSON.stringify(ostinato),
    text: says,
  }));
}

function readTyped(text: string, recipe: ClosedRecipe): Result<string> {
  const meter = parseMeter(recipe.meter);
  if (!meter.ok) return meter;
  const read = readOstinato(text, meter.value);
  if (!read.ok) return read;
  return ok(TYPED + JSON.stringify(read.value[0]?.ostinato));
}

function addOstinato(recipe: ClosedRecipe, id: string): ClosedRecipe {
  if (!id.startsWith(TYPED)) return toggleOstinato(recipe, id);
  const content = JSON.parse(id.slice(TYPED.length)) as ClosedRecipe['over'][number]['content'];
  return { ...recipe, over: [...recipe.over, { content }] };
}

/** Puts another ostinato in the place of one; choosing one that is there already moves nothing. */
function replaceOstinato(recipe: ClosedRecipe, index: number, id: string): ClosedRecipe {
  if (recipe.over.some((one) => one.id === id)) return recipe;
  const without = { ...recipe, over: recipe.over.filter((_, at) => at !== index) };
  const added = addOstinato(without, id);
  const over = [...added.over];
  const last = over.pop();
  if (last) over.splice(index, 0, last);
  return { ...added, over };
}

function MeterPhrase({ recipe, onChange }: { recipe: ClosedRecipe; onChange: OnChange }) {
  const meter = parseMeter(recipe.meter);
  const shown = meter.ok ? formatMeter(meter.value) : recipe.meter;
  return (
    <Choice
      label="Meter"
      options={METERS}
      value={shown}
      onChoose={(text) => onChange({ ...recipe, meter: text })}
      onType={(text) => {
        const typed = parseMeter(text);
        return typed.ok ? ok(formatMeter(typed.value)) : typed;
      }}
    >
      {shown}
    </Choice>
  );
}

function FeelPhrase({ recipe, onChange }: { recipe: ClosedRecipe; onChange: OnChange }) {
  function take(feel: Recipe['feel']) {
    onChange({ ...recipe, feel });
  }
  const options = FEELS.flatMap((text): Option<string>[] => {
    const feel = parseFeel(text);
    return feel.ok ? [{ value: formatFeel(feel.value), text: formatFeel(feel.value) }] : [];
  });
  return (
    <Choice
      label="Feel"
      options={options}
      value={formatFeel(recipe.feel)}
      onChoose={(text) => {
        const feel = parseFeel(text);
        if (feel.ok) take(feel.value);
      }}
      onType={(text) => {
        const typed = parseFeel(text);
        return typed.ok ? ok(formatFeel(typed.value)) : typed;
      }}
    >
      {formatFeel(recipe.feel)}
    </Choice>
  );
}
