'use client';

import { ok, sayCount } from '@/core/issue';
import { STYLES, type Style } from '@/core/kit';
import type { ClosedRecipe, Recipe } from '@/core/recipe';
import { formatFeel, formatMeter, parseFeel, parseMeter } from '@/core/time';
import { Choice, type Option } from '../base';

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

type OnChange = (recipe: ClosedRecipe) => void;

const WHOLE = 'whole';

export function MeterPhrase({ recipe, onChange }: { recipe: ClosedRecipe; onChange: OnChange }) {
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

export function FeelPhrase({ recipe, onChange }: { recipe: ClosedRecipe; onChange: OnChange }) {
  function take(feel: Recipe['feel']) {
    onChange({ ...recipe, feel });
  }
  const options = FEELS.flatMap((text): Option<string>[] => {
    const feel = parseFeel(text);
    if (!feel.ok) return [];
    const said = formatFeel(feel.value);
    const hint = feel.value.kind === 'straight' ? undefined : '8ths as 8ths, 16ths as 16ths';
    return [{ value: said, text: said, hint }];
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

const LEVEL_WORDS: Readonly<Record<Style, string>> = {
  jazz: 'jazz levels',
  rock: 'rock levels',
  full: 'full strokes',
};

const LEVEL_HINTS: Readonly<Record<Style, string>> = {
  jazz: 'ride over snare over bass drum',
  rock: 'bass drum and snare over cymbals',
  full: 'all alike, for stamina',
};

const LEVELS: readonly Option<Style | 'none'>[] = [
  { value: 'none', text: 'as the dynamics say' },
  ...STYLES.map((style) => ({ value: style, text: LEVEL_WORDS[style], hint: LEVEL_HINTS[style] })),
];

/** How loud the voices are against each other. */
export function LevelsPhrase({ recipe, onChange }: { recipe: ClosedRecipe; onChange: OnChange }) {
  return (
    <Choice
      label="Levels"
      options={LEVELS}
      value={recipe.levels ?? 'none'}
      wide
      className={recipe.levels ? 'phrase' : 'phrase-add'}
      onChoose={(style) => onChange({ ...recipe, levels: style === 'none' ? undefined : style })}
    >
      {recipe.levels ? LEVEL_WORDS[recipe.levels] : '+ levels'}
    </Choice>
  );
}

const CUTS: readonly Option<string>[] = [
  { value: WHOLE, text: 'the whole cycle' },
  ...[1, 2, 4, 8, 12, 16, 32, 64].map((bars) => ({
    value: String(bars),
    text: `cut to ${sayCount(bars, 'bar')}`,
  })),
];

/** Ends a cycle that is too long, or longer than it is wanted; said, never done in silence. */
export function CutPhrase({ recipe, onChange }: { recipe: ClosedRecipe; onChange: OnChange }) {
  return (
    <Choice
      label="Cycle"
      options={CUTS}
      value={recipe.cut === undefined ? WHOLE : String(recipe.cut)}
      onChoose={(value) =>
        onChange({ ...recipe, cut: value === WHOLE ? undefined : Number(value) })
      }
    >
      {recipe.cut === undefined ? 'the whole cycle' : `cut to ${sayCount(recipe.cut, 'bar')}`}
    </Choice>
  );
}
