'use client';

import type { KitProfile } from '@/core/kit';
import type { ClosedRecipe, Exercise } from '@/core/recipe';
import { type Say, sayHandedness, sayMaterial, sayVoice } from '@/words';
import { Choice, type Option, useSpeech } from '../base';
import { sayElsewhere } from './elsewhere';
import { useMaterials, useShelf, VersionNote } from '../library';

/** Marks a student among the kits. */
const STUDENT = 'student ';

/** A kit, or a student with theirs: handedness and missing voices are seen to. */
export function KitPhrase({
  recipe,
  onChange,
}: {
  recipe: ClosedRecipe;
  onChange: (recipe: ClosedRecipe) => void;
}) {
  const { say } = useSpeech();
  const { students } = useShelf();
  const kits = useMaterials('kit');
  const options: readonly Option<string>[] = [
    ...students.map(({ id, name, kit }) => ({
      value: STUDENT + id,
      text: name,
      hint: sayKit(say, kit),
    })),
    ...kits
      .filter((one) => !one.archived)
      .map((one) => ({
        value: one.id as string,
        text: sayMaterial(say, one),
        hint: sayKit(say, one.content),
      })),
  ];
  function choose(value: string) {
    const student = students.find(({ id }) => value === STUDENT + id);
    if (student) {
      const { kit, name } = student;
      const content = { ...kit, name, voices: [...kit.voices] };
      onChange({ ...recipe, kit: { content } });
      return;
    }
    const kit = kits.find((one) => one.id === value);
    if (!kit) return;
    const content = { ...kit.content, voices: [...kit.content.voices] };
    onChange({ ...recipe, kit: { id: kit.id, version: kit.version, content } });
  }
  return (
    <>
      <Choice
        label={say.t('screen.common.kit')}
        elsewhere={(text) => sayElsewhere(say, text, 'kit')}
        options={options}
        value={recipe.kit.id}
        onChoose={choose}
        wide
      >
        {sayMaterial(say, recipe.kit)}
      </Choice>
      <VersionNote of={recipe.kit} kind="kit" onUpdate={({ id }) => choose(id)} />
    </>
  );
}

/** Most missing voices that are named one by one. */
const MOST_NAMED = 3;

const USUAL = [
  'hat',
  'ride',
  'crash',
  'snare',
  'tom-high',
  'tom-floor',
  'bass',
  'hat-foot',
] as const;

function sayKit(say: Say, kit: KitProfile): string {
  if (kit.voices.length === 1 && kit.voices[0] === 'pad') return say.t('screen.common.padOnly');
  const hands = kit.handedness === 'right' ? '' : sayHandedness(say, kit.handedness);
  const missing = USUAL.filter((id) => !kit.voices.includes(id)).map((id) => sayVoice(say, id));
  const without =
    missing.length === 0
      ? ''
      : missing.length > MOST_NAMED
        ? say.t('screen.bench.voices', { voices: kit.voices.length })
        : say.t('screen.bench.noVoices', { voices: missing.join(', ') });
  return [hands, without].filter(Boolean).join(', ');
}

/** @example sayReplaced(ENGLISH, exercise) // => 'ride on the closed hi-hat, left foot: tap the floor' */
export function sayReplaced(say: Say, { replaced }: Exercise): string {
  return replaced
    .map(({ voice: id, by }) =>
      by === null
        ? say.t('screen.bench.tapTheFloor', { voice: sayVoice(say, id) })
        : say.t('screen.bench.onThe', { voice: sayVoice(say, id), by: sayVoice(say, by) }),
    )
    .join(', ');
}
