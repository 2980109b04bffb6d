'use client';

import { useMemo } from 'react';
import { ok, type Result } from '@/core/issue';
import { looksTyped, readOstinato, type Material } from '@/core/materials';
import { toggleOstinato, type ClosedRecipe } from '@/core/recipe';
import { parseMeter, type Syllables } from '@/core/time';
import { type Say, sayLanes, sayMaterial } from '@/words';
import { Choice, useSpeech, type Option } from '../base';
import { useMaterials, VersionNote } from '../library';
import { sayElsewhere } from './elsewhere';
import { TakeAway } from './phrase-parts';

const MOST_OSTINATI = 4;

type OnChange = (recipe: ClosedRecipe) => void;
type Ostinati = readonly Material<'ostinato'>[];

function optionOf(say: Say, one: Material<'ostinato'>): Option<string> {
  const { id, meter, own } = one;
  return {
    value: id,
    text: sayMaterial(say, one),
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
            elsewhere={(text) => sayElsewhere(say, text, 'groove')}
            offer={(text) => typedOptions(say, text, recipe)}
            onType={(text) => readTyped(text, recipe, syllables)}
            onChoose={(id) => onChange(replaceOstinato(recipe, index, id, ostinati))}
          >
            {sayMaterial(say, one)}
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
            what={sayMaterial(say, one)}
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
          elsewhere={(text) => sayElsewhere(say, text, 'groove')}
          offer={(text) => typedOptions(say, text, recipe)}
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

function typedOptions(say: Say, text: string, recipe: ClosedRecipe): readonly Option<string>[] {
  const meter = parseMeter(recipe.meter);
  if (!looksTyped(text) || !meter.ok) return [];
  const read = readOstinato(text, meter.value, say.syllables);
  if (!read.ok) return [];
  return read.value.map((ostinato) => ({
    value: TYPED + JSON.stringify(ostinato),
    text: sayLanes(say, ostinato.lanes),
  }));
}

function readTyped(text: string, recipe: ClosedRecipe, syllables: Syllables): Result<string> {
  const meter = parseMeter(recipe.meter);
  if (!meter.ok) return meter;
  const read = readOstinato(text, meter.value, syllables);
  if (!read.ok) return read;
  return ok(TYPED + JSON.stringify(read.value[0]));
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
