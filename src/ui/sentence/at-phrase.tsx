'use client';

import { must, ok } from '@/core/issue';
import { STYLES, type Style } from '@/core/kit';
import { asDrawn, type ClosedRecipe, type Exercise, type Recipe } from '@/core/recipe';
import {
  formatFeel,
  formatMeter,
  parseFeel,
  parseMeter,
  TICKS_PER_QUARTER,
  USUAL_FEELS,
  USUAL_METERS,
  usualSwing,
  type Tempo,
} from '@/core/time';
import { type Key, sayEach, sayFeel } from '@/words';
import { Choice, type Option, useSpeech } from '../base';
import { sayElsewhere } from './elsewhere';

/** Usual meters, with how they are grouped where that is not even. */
export const METER_OPTIONS: readonly Option<string>[] = USUAL_METERS.map((written) => {
  const { count, unit, grouping } = must(parseMeter(written));
  const even = grouping.every((one) => one === grouping[0]);
  const text = `${count}/${unit}`;
  return { value: written, text, ...(even ? {} : { hint: grouping.join('+') }) };
});

type OnChange = (recipe: ClosedRecipe) => void;

const WHOLE = 'whole';

/** Note values in the plural. */
const NOTES = {
  american: { eighths: 'notes.american.eighths', sixteenths: 'notes.american.sixteenths' },
  british: { eighths: 'notes.british.eighths', sixteenths: 'notes.british.sixteenths' },
} as const;

export function MeterPhrase({ recipe, onChange }: { recipe: ClosedRecipe; onChange: OnChange }) {
  const { say } = useSpeech();
  const meter = parseMeter(recipe.meter);
  const shown = meter.ok ? formatMeter(meter.value) : recipe.meter;
  return (
    <Choice
      label={say.t('screen.common.meter')}
      elsewhere={(text) => sayElsewhere(say, text, 'meter')}
      options={METER_OPTIONS}
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

/** A swing of 2:1 beside written triplets is triplets: it can be written so at one touch. */
export function AsTriplets({
  recipe,
  exercise,
  onChange,
}: {
  recipe: ClosedRecipe;
  exercise: Exercise;
  onChange: OnChange;
}) {
  const { say } = useSpeech();
  if (asDrawn(exercise) === exercise) return null;
  const feel = { kind: 'triplets' } as const;
  return (
    <button type="button" className="phrase ml-2" onClick={() => onChange({ ...recipe, feel })}>
      {say.t('screen.bench.writeAs', { feel: sayFeel(say, feel) })}
    </button>
  );
}

/** @param tempo at which it is looked at: the swing that is usual there is offered */
export function FeelPhrase({
  recipe,
  tempo,
  onChange,
}: {
  recipe: ClosedRecipe;
  tempo: Tempo;
  onChange: OnChange;
}) {
  const { say } = useSpeech();
  const usual = usualSwing((tempo.bpm * tempo.beatTicks) / TICKS_PER_QUARTER);
  function take(feel: Recipe['feel']) {
    onChange({ ...recipe, feel });
  }
  const { eighths, sixteenths } = sayEach(say, NOTES[say.notes]);
  const options = USUAL_FEELS.flatMap((text): Option<string>[] => {
    const feel = parseFeel(text);
    if (!feel.ok) return [];
    const said = formatFeel(feel.value);
    const hint =
      feel.value.kind === 'straight'
        ? undefined
        : say.t('screen.bench.straight', { eighths, sixteenths });
    return [{ value: said, text: sayFeel(say, feel.value), hint }];
  });
  const offered = usual && {
    value: formatFeel(usual),
    text: sayFeel(say, usual),
    hint: say.t('screen.bench.usualAt', { bpm: tempo.bpm }),
  };
  const others = options.filter(({ value }) => value !== offered?.value);
  return (
    <Choice
      label={say.t('screen.bench.feel')}
      elsewhere={(text) => sayElsewhere(say, text, 'feel')}
      options={offered ? [...others, offered] : options}
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
      {sayFeel(say, recipe.feel)}
    </Choice>
  );
}

export const LEVEL_WORDS = {
  jazz: 'screen.bench.jazzLevels',
  rock: 'screen.bench.rockLevels',
  full: 'screen.bench.fullStrokes',
} as const satisfies Record<Style, Key>;

const LEVEL_HINTS = {
  jazz: 'screen.bench.rideOverSnareOverBassDrum',
  rock: 'screen.bench.bassDrumAndSnareOverCymbals',
  full: 'screen.bench.allAlikeForStamina',
} as const satisfies Record<Style, Key>;

/** How loud the voices are against each other. */
export function LevelsPhrase({ recipe, onChange }: { recipe: ClosedRecipe; onChange: OnChange }) {
  const { say } = useSpeech();
  const levels: readonly Option<Style | 'none'>[] = [
    { value: 'none', text: say.t('screen.bench.asTheDynamicsSay') },
    ...STYLES.map((style) => ({
      value: style,
      text: say.t(LEVEL_WORDS[style]),
      hint: say.t(LEVEL_HINTS[style]),
    })),
  ];
  return (
    <Choice
      label={say.t('screen.bench.levels')}
      elsewhere={(text) => sayElsewhere(say, text, 'levels')}
      options={levels}
      value={recipe.levels ?? 'none'}
      wide
      className={recipe.levels ? 'phrase' : 'phrase-add'}
      onChoose={(style) => onChange({ ...recipe, levels: style === 'none' ? undefined : style })}
    >
      {recipe.levels ? say.t(LEVEL_WORDS[recipe.levels]) : say.t('screen.bench.addLevels')}
    </Choice>
  );
}

const CUTS = [1, 2, 4, 8, 12, 16, 32, 64];

/** Ends a cycle that is too long, or longer than it is wanted; said, never done in silence. */
export function CutPhrase({ recipe, onChange }: { recipe: ClosedRecipe; onChange: OnChange }) {
  const { say } = useSpeech();
  const options: readonly Option<string>[] = [
    { value: WHOLE, text: say.t('screen.bench.theWholeCycle') },
    ...CUTS.map((bars) => ({ value: String(bars), text: say.t('screen.bench.cutTo', { bars }) })),
  ];
  return (
    <Choice
      label={say.t('screen.bench.cycle')}
      elsewhere={(text) => sayElsewhere(say, text, 'cut')}
      options={options}
      value={recipe.cut === undefined ? WHOLE : String(recipe.cut)}
      onChoose={(value) =>
        onChange({ ...recipe, cut: value === WHOLE ? undefined : Number(value) })
      }
    >
      {recipe.cut === undefined
        ? say.t('screen.bench.theWholeCycle')
        : say.t('screen.bench.cutTo', { bars: recipe.cut })}
    </Choice>
  );
}
