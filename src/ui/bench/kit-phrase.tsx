'use client';

import { voice, type KitProfile } from '@/core/kit';
import type { ClosedRecipe, Exercise } from '@/core/recipe';
import { Choice, type Option } from '../base';
import { useMaterials, useShelf } from './library';
import { VersionNote } from './version-note';

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
  const { students } = useShelf();
  const kits = useMaterials('kit');
  const options: readonly Option<string>[] = [
    ...students.map(({ id, name, kit }) => ({
      value: STUDENT + id,
      text: name,
      hint: sayKit(kit),
    })),
    ...kits
      .filter((one) => !one.archived)
      .map(({ id, name, content }) => ({ value: id, text: name, hint: sayKit(content) })),
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
      <Choice label="Kit" options={options} value={recipe.kit.id} onChoose={choose} wide>
        {recipe.kit.content.name}
      </Choice>
      <VersionNote of={recipe.kit} kind="kit" onUpdate={({ id }) => choose(id)} />
    </>
  );
}

const HANDS: Readonly<Record<KitProfile['handedness'], string>> = {
  right: '',
  mirrored: 'mirrored',
  'open-handed': 'open-handed',
  'left-lead': 'left lead',
};

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

function sayKit(kit: KitProfile): string {
  if (kit.voices.length === 1 && kit.voices[0] === 'pad') return 'pad only';
  const missing = USUAL.filter((id) => !kit.voices.includes(id)).map((id) => voice(id).name);
  const without =
    missing.length === 0
      ? ''
      : missing.length > MOST_NAMED
        ? `${kit.voices.length} voices`
        : `no ${missing.join(', ')}`;
  return [HANDS[kit.handedness], without].filter(Boolean).join(', ');
}

/** @example 'ride on the closed hi-hat, the left foot taps the floor' */
export function sayReplaced({ replaced }: Exercise): string {
  return replaced
    .map(({ voice: id, by }) =>
      by === null
        ? `${voice(id).name}: tap the floor`
        : `${voice(id).name} on the ${voice(by).name}`,
    )
    .join(', ');
}
