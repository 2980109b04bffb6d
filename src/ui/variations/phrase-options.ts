'use client';

import { createElement, useMemo } from 'react';
import {
  partAt,
  rangeOffers,
  valuesAt,
  type AxisPlace,
  type ChangeValue,
  type Family,
  type PhraseValue,
} from '@/core/family';
import { LIMB_POLICIES } from '@/core/interpret';
import { STYLES } from '@/core/kit';
import { looksTyped, readOstinato, type Material } from '@/core/materials';
import { parseLine } from '@/core/reading';
import { INTERPRETATION_STARTS, startOf, type ClosedRecipe } from '@/core/recipe';
import { looksSticking, parsePhrase, typedSticking, type Sticking } from '@/core/sticking';
import { formatMeter, parseFeel, parseMeter, USUAL_FEELS, type Syllables } from '@/core/time';
import { useSpeech, type Option } from '../base';
import { type Say, sayFeel, sayLanes, sayMaterial, sayOffer, sayPolicy, sayStart } from '@/words';
import { useMaterials } from '../library';
import { LineStart } from '../marks';
import { changeOptions, CHANGE_STARTS, LEVEL_WORDS, METER_OPTIONS } from '../sentence';

type Value = PhraseValue;

/** What a phrase can be given: the shelf, what is typed, and ranges. Values are known by an id: a
 * material’s own, or what they are. */
export interface PhraseOptions {
  readonly all: readonly Option<string>[];
  readonly placeholder?: string;
  readonly offer?: (text: string) => readonly Option<string>[];
  readonly idOf: (value: Value) => string;
  readonly valueOf: (id: string) => Value | undefined;
}

/** Something that is written out in its id. */
const WRITTEN = 'is ';

function written(value: unknown): string {
  return WRITTEN + JSON.stringify(value);
}

function readWritten(id: string): Value | undefined {
  return id.startsWith(WRITTEN) ? (JSON.parse(id.slice(WRITTEN.length)) as Value) : undefined;
}

export function usePhraseOptions(family: Family, place: AxisPlace): PhraseOptions {
  const { part } = place;
  const base = useMemo(() => partAt(family.base, part), [family.base, part]);
  const played = valuesAt(family, { at: 'play', part });
  const kept = useMemo(() => lastSticking(played), [played]);
  const { say, syllables } = useSpeech();
  const ostinatos = useMaterials('ostinato');
  const lines = useMaterials('line');
  const stickings = useMaterials('sticking');
  const kits = useMaterials('kit');
  const rules = useMaterials('rules');
  const { at } = place;
  return useMemo((): PhraseOptions => {
    switch (at) {
      case 'over':
        return overOptions(say, ostinatos, base, syllables);
      case 'play':
        return playOptions(say, lines, stickings, base, kept);
      case 'as':
        return asOptions(say, rules);
      case 'change':
        return changeValues(say, base);
      case 'feel':
        return feelOptions(say);
      case 'clash':
        return textOptions(LIMB_POLICIES, (policy) => sayPolicy(say, policy));
      case 'meter':
        return meterOptions(say);
      case 'levels':
        return textOptions(STYLES, (style) => say.t(LEVEL_WORDS[style]));
      case 'kit':
        return materialOptions(
          say,
          kits.filter((one) => !one.archived),
        );
    }
  }, [at, base, kept, kits, lines, say, ostinatos, rules, stickings, syllables]);
}

/** Materials of one kind, each by its id; what is no material by what it is. */
function materialOptions(
  say: Say,
  materials: readonly Material[],
  hint: (one: Material) => string = (one) => one.meter ?? '',
): Required<Pick<PhraseOptions, 'all' | 'idOf' | 'valueOf'>> {
  return {
    all: materials.map((one) => ({ value: one.id, text: sayMaterial(say, one), hint: hint(one) })),
    idOf: (value) =>
      typeof value === 'object' && value !== null && 'id' in value && value.id !== undefined
        ? value.id
        : written(value),
    valueOf: (id) => {
      const found = materials.find((one) => one.id === id);
      if (!found) return readWritten(id);
      const { version, content } = found;
      return structuredClone({ id, version, content }) as Value;
    },
  };
}

function overOptions(
  say: Say,
  ostinatos: readonly Material<'ostinato'>[],
  base: ClosedRecipe,
  syllables: Syllables,
): PhraseOptions {
  const known = materialOptions(
    say,
    ostinatos.filter((one) => !one.archived),
  );
  return {
    ...known,
    all: [{ value: written(null), text: say.t('screen.common.nothing') }, ...known.all],
    placeholder: say.t('screen.common.aNameOrTypedKX'),
    offer: (text) => {
      const meter = parseMeter(base.meter);
      const read = meter.ok && looksTyped(text) ? readOstinato(text, meter.value, syllables) : null;
      if (!read?.ok) return [];
      return read.value.map((ostinato) => ({
        value: written({ content: ostinato }),
        text: sayLanes(say, ostinato.lanes),
        hint: say.t('screen.variations.typed'),
      }));
    },
  };
}

/** The sticking that was given last. */
function lastSticking(values: readonly Value[]): Sticking | null {
  const all = values.flatMap((value) =>
    typeof value === 'object' && value !== null && 'content' in value && 'sticking' in value.content
      ? [value.content]
      : [],
  );
  return all.at(-1) ?? null;
}

/** A line as it is read, over what is typed for it. */
function linePicture(text: string, meter: string) {
  return function picture() {
    return createElement(LineStart, { text, meter });
  };
}

function playOptions(
  say: Say,
  lines: readonly Material<'line'>[],
  stickings: readonly Material<'sticking'>[],
  base: ClosedRecipe,
  /** Whose voices and accents a sticking has that is typed beside it. */
  kept: Sticking | null,
): PhraseOptions {
  const mine = lines.filter((one) => !one.archived && base.meter.startsWith(one.meter ?? ''));
  const free = stickings.filter((one) => !one.archived);
  const known = materialOptions(say, [...mine, ...free]);
  return {
    ...known,
    all: [
      ...mine.map((one) => ({
        value: one.id,
        text: one.content.text,
        picture: linePicture(one.content.text, base.meter),
        hint:
          one.grade === null
            ? sayMaterial(say, one)
            : say.t('screen.variations.grade', { name: sayMaterial(say, one), grade: one.grade }),
      })),
      ...free.map((one) => ({
        value: one.id,
        text: one.content.sticking,
        hint: sayMaterial(say, one),
      })),
    ],
    placeholder: say.t('screen.variations.aLineNameOrGradeOr'),
    offer: (text) => {
      const meter = parseMeter(base.meter);
      const typed = text.trim();
      if (looksSticking(typed) && parsePhrase(typed, '16').ok) {
        const value = written({
          content: kept ? { ...kept, name: undefined, sticking: typed } : typedSticking(typed),
        });
        return [{ value, text: typed, hint: say.t('screen.variations.stickingTyped') }];
      }
      if (!meter.ok || !parseLine(typed, meter.value).ok) return [];
      return [
        {
          value: written({ content: { text: typed } }),
          text: typed,
          picture: linePicture(typed, base.meter),
          hint: say.t('screen.variations.typed'),
        },
      ];
    },
  };
}

function asOptions(say: Say, rules: readonly Material<'rules'>[]): PhraseOptions {
  const starts = INTERPRETATION_STARTS.map(({ id }) => {
    const { name, says } = sayStart(say, id);
    return { value: written(startOf(id)), text: name, hint: says };
  });
  const own = rules
    .filter((one) => !one.archived)
    .map(({ name, content }) => ({
      value: written({ kind: 'rules', rules: content.rules }),
      text: name,
      hint: say.t('screen.common.ownRules'),
    }));
  return { all: [...own, ...starts], idOf: written, valueOf: readWritten };
}

function changeValues(say: Say, base: ClosedRecipe): PhraseOptions {
  const one = (change: ChangeValue extends { change: infer C } ? C : never): ChangeValue => ({
    kind: 'one',
    change,
  });
  const ranges = rangeOffers(base).map((offer) => ({
    value: written(offer.value),
    text: sayOffer(say, offer),
    hint: say.t('screen.variations.range'),
  }));
  const singles = changeOptions(say).flatMap((option, nth) => {
    const change = CHANGE_STARTS[nth];
    return change ? [{ ...option, value: written(one(change)) }] : [];
  });
  return {
    all: [
      {
        value: written(one(null)),
        text: say.t('screen.variations.asItIs'),
        hint: say.t('screen.variations.without'),
      },
      ...ranges,
      ...singles,
    ],
    idOf: written,
    valueOf: readWritten,
  };
}

/** Values that are plain words. */
function textOptions<T extends string>(
  values: readonly T[],
  says: (value: T) => string,
): PhraseOptions {
  const all = values.map((value) => ({ value: written(value), text: says(value) }));
  return { all, idOf: written, valueOf: readWritten };
}

function meterOptions(say: Say): PhraseOptions {
  const all = METER_OPTIONS.map((one) => ({ ...one, value: written(one.value) }));
  const offer = (text: string) => {
    const meter = parseMeter(text);
    if (!meter.ok) return [];
    const said = formatMeter(meter.value);
    return [{ value: written(said), text: said, hint: say.t('screen.variations.typed') }];
  };
  return { all, offer, idOf: written, valueOf: readWritten };
}

function feelOptions(say: Say): PhraseOptions {
  const option = (text: string) => {
    const feel = parseFeel(text);
    return feel.ok ? [{ value: written(feel.value), text: sayFeel(say, feel.value) }] : [];
  };
  const offer = (text: string) =>
    option(text).map((one) => ({ ...one, hint: say.t('screen.variations.typed') }));
  return { all: USUAL_FEELS.flatMap(option), offer, idOf: written, valueOf: readWritten };
}
