'use client';

import { clsx } from 'clsx';
import { X } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import {
  axisAt,
  familySize,
  partAt,
  setValues,
  toggleValue,
  valuesAt,
  valuesOf,
  type AxisPlace,
  type ChangeValue,
  type Family,
  type PhraseValue,
} from '@/core/family';
import { MOST_CHANGES, MOST_OVER, partsOf } from '@/core/recipe';
import { type Say, sayChange, sayChangeRange, sayPart } from '@/words';
import { Button, useSpeech } from '../base';
import { VersionNote } from '../library';
import { ManyChoice } from './many-choice';
import { RangeEditor } from './range-editor';
import { usePhraseOptions } from './phrase-options';
import { ValueEditor } from './value-editor';

type Value = PhraseValue;

/** Most values of a phrase that are written out. */
const MOST_SAID = 4;

/** The sentence, each phrase with its values. A phrase with several turns the exercise into a family,
 * whose size follows at once. */
export function FamilySentence({
  family,
  onChange,
}: {
  family: Family;
  onChange: (family: Family) => void;
}) {
  const { say } = useSpeech();
  const parts = partsOf(family.base);
  const [chosen, setChosen] = useState(0);
  const open = Math.min(chosen, parts.length - 1);
  const part = open > 0 ? open : undefined;
  const overs = slotsOf(family, 'over', MOST_OVER, part);
  const changes = slotsOf(family, 'change', MOST_CHANGES, part);
  const phrase = (place: AxisPlace, label: string, add: string) => (
    <Phrase
      key={JSON.stringify([place, part])}
      {...{ family, label, add, onChange }}
      place={part === undefined ? place : { ...place, part }}
    />
  );
  const plays = valuesAt(family, { at: 'play', part }).length > 0;
  return (
    <section
      aria-label={say.t('screen.variations.sentence')}
      className="sentence flex flex-wrap items-baseline gap-x-4 gap-y-1 px-4 py-2"
    >
      {parts.length > 1 && (
        <Line label={say.t('screen.bench.partsCapital')} long>
          {parts.map(({ name }, nth) => (
            <Button
              key={nth}
              look="quiet"
              aria-pressed={nth === open}
              onClick={() => setChosen(nth)}
            >
              {name || say.t('screen.variations.partNumber', { number: nth + 1 })}
            </Button>
          ))}
        </Line>
      )}
      <Line label={say.t('screen.common.over')} long>
        {overs.map((index) =>
          phrase(
            { at: 'over', index },
            say.t('screen.variations.over', { index: index + 1 }),
            index === 0 ? say.t('screen.variations.whatKeepsGoing') : '',
          ),
        )}
      </Line>
      <Line label={say.t('screen.common.play')} long={plays}>
        {phrase(
          { at: 'play' },
          say.t('screen.common.lines'),
          say.t('screen.variations.linesOrStickings'),
        )}
      </Line>
      {plays && (
        <Line label={say.t('screen.common.as')} long>
          {phrase({ at: 'as' }, say.t('screen.variations.interpretations'), '')}
        </Line>
      )}
      <Line label={say.t('screen.common.changedBy')} long={changes.length > 1}>
        {changes.map((index) =>
          phrase(
            { at: 'change', index },
            say.t('screen.variations.changes', { index: index + 1 }),
            index === 0 ? say.t('screen.variations.changesWord') : '',
          ),
        )}
      </Line>
      {plays && (
        <Line label={say.t('screen.common.whereLimbsMeet')} long={false}>
          {phrase({ at: 'clash' }, say.t('screen.common.whereLimbsMeet'), '')}
        </Line>
      )}
      <Line label={say.t('screen.common.at')} long={false}>
        {phrase({ at: 'meter' }, say.t('screen.variations.meters'), '')}
        {phrase({ at: 'feel' }, say.t('screen.variations.feels'), '')}
        {phrase(
          { at: 'levels' },
          say.t('screen.variations.levelsPhrase'),
          say.t('screen.variations.levelsWord'),
        )}
      </Line>
      <Line label={say.t('screen.common.forCapital')} long={false}>
        {phrase({ at: 'kit' }, say.t('screen.materials.kits'), '')}
      </Line>
    </section>
  );
}

/** Places of a list that have values, and the next one, which has none yet. */
function slotsOf(
  family: Family,
  at: 'over' | 'change',
  most: number,
  part: number | undefined,
): readonly number[] {
  const taken = Array.from({ length: most }, (_, index) => index).filter(
    (index) => valuesAt(family, { at, index, part }).length > 0,
  );
  const next = (taken.at(-1) ?? -1) + 1;
  return next < most ? [...taken, next] : taken;
}

/** A line of its own where it is long; short ones share one. Both are the same element, so that a list
 * stays open while the first value makes its line a long one. */
function Line({ label, long, children }: { label: string; long: boolean; children: ReactNode }) {
  return (
    <div className={clsx('flex min-w-0 items-baseline gap-x-3', long && 'w-full')}>
      <span className={clsx('label shrink-0', long && 'w-18 text-right')}>{label}</span>
      <div className="flex min-w-0 flex-wrap items-baseline gap-x-2">{children}</div>
    </div>
  );
}

function Phrase({
  family,
  place,
  label,
  add,
  onChange,
}: {
  family: Family;
  place: AxisPlace;
  label: string;
  add: string;
  onChange: (family: Family) => void;
}) {
  const { say } = useSpeech();
  const options = usePhraseOptions(family, place);
  const values = valuesAt(family, place);
  const chosen = new Set(values.map(options.idOf));
  const empty = values.length === 0;
  const replace = (nth: number, value: Value | null) =>
    onChange(
      setValues(
        family,
        place,
        values.flatMap((one, at) => (at === nth ? (value === null ? [] : [value]) : [one])),
      ),
    );
  const [all, setAll] = useState(false);
  const said = all ? values : values.slice(0, MOST_SAID);
  const own = family.axes[axisAt(family.axes, place)];
  const base = partAt(family.base, place.part);
  const count = own ? valuesOf(own).length : values.length;
  return (
    <span className="mr-3 inline-flex flex-wrap items-baseline gap-x-1.5">
      {'index' in place && place.index > 0 && !empty && <span className="text-soft">+</span>}
      {said.map((value, nth) => (
        <span key={nth} className="inline-flex items-baseline whitespace-nowrap">
          {nth > 0 && <span className="pr-1.5 text-soft">/</span>}
          {isRange(value) ? (
            <RangeEditor
              value={value}
              says={sayChangeRange(say, value, base) ?? ''}
              onChange={(next) => replace(nth, next)}
            />
          ) : (
            <ValueEditor
              value={value}
              place={place}
              base={base}
              onChange={(next) => replace(nth, next)}
              onAnother={() =>
                onChange(setValues(family, place, values.toSpliced(nth + 1, 0, value)))
              }
            >
              {sayValue(say, value, place)}
            </ValueEditor>
          )}
          <Version value={value} place={place} onUpdate={(next) => replace(nth, next)} />
          {(values.length > 1 || isRange(value) || canBeEmpty(place)) && (
            <button
              type="button"
              aria-label={say.t('screen.variations.takeAway', {
                value: sayValue(say, value, place),
              })}
              className="ml-0.5 inline-flex size-5 items-center justify-center self-center text-soft hover:text-ink"
              onClick={() => replace(nth, null)}
            >
              <X size={12} aria-hidden />
            </button>
          )}
        </span>
      ))}
      {values.length > said.length && (
        <button type="button" className="phrase text-soft" onClick={() => setAll(true)}>
          {say.t('screen.variations.andMore', { count: values.length - said.length })}
        </button>
      )}
      <ManyChoice
        label={label}
        options={options.all}
        chosen={chosen}
        placeholder={options.placeholder}
        offer={options.offer}
        className="phrase-add"
        onToggle={(ids) => {
          const picked = ids.flatMap((id) => options.valueOf(id) ?? []);
          onChange(picked.reduce((now, value) => toggleValue(now, place, value), family));
        }}
      >
        {empty ? `+ ${add}` : say.t('screen.variations.addAlso')}
      </ManyChoice>
      {count > 1 && (
        <span className="font-sans text-sm font-semibold whitespace-nowrap text-warm">
          × {count}
        </span>
      )}
    </span>
  );
}

/** Tells that a value was edited on the shelf since it was put here. */
function Version({
  value,
  place,
  onUpdate,
}: {
  value: Value;
  place: AxisPlace;
  onUpdate: (value: Value) => void;
}) {
  if (typeof value !== 'object' || value === null || !('content' in value)) return null;
  const { content } = value;
  const play = 'sticking' in content ? 'sticking' : 'line';
  const kind = place.at === 'over' ? 'ostinato' : place.at === 'kit' ? 'kit' : play;
  return (
    <VersionNote
      of={value}
      kind={kind}
      onUpdate={({ id, version, content: newer }) =>
        onUpdate(structuredClone({ id, version, content: newer }) as Value)
      }
    />
  );
}

function isRange(value: Value): value is Exclude<ChangeValue, { kind: 'one' }> {
  if (typeof value !== 'object' || value === null || !('kind' in value)) return false;
  return value.kind === 'numbers' || value.kind === 'placements';
}

function canBeEmpty(place: AxisPlace): boolean {
  return ['over', 'change', 'play', 'levels'].includes(place.at);
}

/** A single value in the words of the sentence. */
function sayValue(say: Say, value: Value, place: AxisPlace): string {
  if (typeof value === 'object' && value !== null && 'kind' in value && value.kind === 'one') {
    return value.change ? sayChange(say, value.change) : say.t('screen.variations.asItIs');
  }
  const [only] = valuesOf({ ...place, values: [value] } as Parameters<typeof valuesOf>[0]);
  return only ? sayPart(say, only.part) : '';
}

/** How many variations there are, as it is typed. */
export function FamilyCount({ family }: { family: Family }) {
  const { say } = useSpeech();
  const size = familySize(family);
  return (
    <output aria-label={say.t('screen.variations.variations')} className="text-lg font-semibold">
      {say.t.rich('screen.variations.size', {
        size,
        soft: (text) => <span className="font-normal text-soft">{text}</span>,
      })}
    </output>
  );
}
