'use client';

import { useMemo } from 'react';
import { ok, type Result } from '@/core/issue';
import { looksTyped, readOstinato, type Material } from '@/core/materials';
import { toggleOstinato, type ClosedRecipe } from '@/core/recipe';
import { parseMeter, type Syllables } from '@/core/time';
import type { Say } from '@/words';
import { Choice, useSpeech, type Option } from '../base';
import { useMaterials } from './library';
import { TakeAway } from './phrase-parts';
import { VersionNote } from './version-note';

const MOST_OSTINATI = 4;

type OnChange = (recipe: ClosedRecipe) => void;
type Ostinati = readonly Material<'ostinato'>[];

function optionOf(say: Say, { id, name, meter, own }: Material<'ostinato'>): Option<string> {
  return {
    value: id,
    text: name,
    hint: own ? say.t('screen.bench.own', { meter: meter ?? '' }) : (meter ?? ''),
  };
}

export function OverPhrase({ recipe, onChange }: { recipe: ClosedRecipe; onChange: OnChange }) {
  const { over } = recipe;
  const { say, syllables } = useSpeech();
  const ostinati = useMaterials('ostinato');
  const options = useMemo(
    () => ostinati.filter((one) => !one.archived).map((one) => optionOf(say, one)),
    [ostinati, say],
  );
  const free = options.filter((option) => !over.some((one) => one.id === option.value));
  return (
    <>
      {over.map((one, index) => (
        <span key={index} className="whitespace-nowrap">
          {index > 0 && <span className="text-soft">+ </span>}
          <Choice
            label={say.t('screen.bench.whatKeepsGoingCapital')}
            options={options}
            value={one.id}
            wide
            placeholder={say.t('screen.common.aNameOrTypedKX')}
            offer={(text) => typedOptions(text, recipe, syllables)}
            onType={(text) => readTyped(text, recipe, syllables)}
            onChoose={(id) => onChange(replaceOstinato(recipe, index, id, ostinati))}
          >
            {one.content.name}
          </Choice>
          <VersionNote
            of={one}
            kind="ostinato"
            onUpdate={({ version, content }) =>
              onChange({
                ...recipe,
                over: over.map((old, at) =>
                  at === index
                    ? {
                        id: one.id ?? '',
                        version,
                        content: { ...content, lanes: [...content.lanes] },
                      }
                    : old,
                ),
              })
            }
          />
          <TakeAway
            what={one.content.name}
            onClick={() => onChange({ ...recipe, over: over.filter((_, at) => at !== index) })}
          />
        </span>
      ))}
      {over.length < MOST_OSTINATI && (
        <Choice
          label={say.t('screen.bench.whatKeepsGoingCapital')}
          options={free}
          className="phrase-add"
          wide
          placeholder={say.t('screen.common.aNameOrTypedKX')}
          offer={(text) => typedOptions(text, recipe, syllables)}
          onType={(text) => readTyped(text, recipe, syllables)}
          onChoose={(id) => onChange(addOstinato(recipe, id, ostinati))}
        >
          {over.length === 0 ? say.t('screen.bench.addWhatKeepsGoing') : '+'}
        </Choice>
      )}
    </>
  );
}

/** Marks an ostinato that was typed and has no id: its content follows as JSON. */
const TYPED = 'typed ';

function typedOptions(
  text: string,
  recipe: ClosedRecipe,
  syllables: Syllables,
): readonly Option<string>[] {
  const meter = parseMeter(recipe.meter);
  if (!looksTyped(text) || !meter.ok) return [];
  const read = readOstinato(text, meter.value, syllables);
  if (!read.ok) return [];
  return read.value.map(({ ostinato, says }) => ({
    value: TYPED + JSON.stringify(ostinato),
    text: says,
  }));
}

function readTyped(text: string, recipe: ClosedRecipe, syllables: Syllables): Result<string> {
  const meter = parseMeter(recipe.meter);
  if (!meter.ok) return meter;
  const read = readOstinato(text, meter.value, syllables);
  if (!read.ok) return read;
  return ok(TYPED + JSON.stringify(read.value[0]?.ostinato));
}

function addOstinato(recipe: ClosedRecipe, id: string, ostinati: Ostinati): ClosedRecipe {
  if (!id.startsWith(TYPED)) {
    return toggleOstinato(
      recipe,
      id,
      ostinati.find((one) => one.id === id),
    );
  }
  const content = JSON.parse(id.slice(TYPED.length)) as ClosedRecipe['over'][number]['content'];
  return { ...recipe, over: [...recipe.over, { content }] };
}

/** Puts another ostinato in the place of one; choosing one that is there already moves nothing. */
function replaceOstinato(
  recipe: ClosedRecipe,
  index: number,
  id: string,
  ostinati: Ostinati,
): ClosedRecipe {
  if (recipe.over.some((one) => one.id === id)) return recipe;
  const without = { ...recipe, over: recipe.over.filter((_, at) => at !== index) };
  const added = addOstinato(without, id, ostinati);
  const over = [...added.over];
  const last = over.pop();
  if (last) over.splice(index, 0, last);
  return { ...added, over };
}
