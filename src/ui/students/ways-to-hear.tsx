'use client';

import { Play, Square } from 'lucide-react';
import { useMemo } from 'react';
import { twistsOf, varyRecipe } from '@/core/ladder';
import type { Variation } from '@/core/log';
import { expand } from '@/core/recipe';
import type { ItemRecord } from '@/core/studio';
import { tempoFor } from '@/core/time';
import { sayVariation } from '@/words';
import { Button, useSpeech } from '../base';
import { useHear } from '../play';

/** What is proposed to be played, ready to hear; for a twist, with the other twists beside it, each to be
 * applied instead. */
export default function WaysToHear({
  record,
  proposed,
  twists,
  onApply,
}: {
  record: ItemRecord;
  proposed: Variation;
  /** Whether other twists are offered. */
  twists: boolean;
  onApply: (variation: Variation) => void;
}) {
  const { say } = useSpeech();
  const { state, whole } = record;
  const { heard, hear } = useHear<string>(state.bpm);
  const ways = useMemo(() => {
    const exercise = twists ? expand(whole) : null;
    const others = exercise?.ok
      ? twistsOf(whole, exercise.value, tempoFor(exercise.value.meter, state.bpm))
      : [];
    const all = [proposed, ...others.filter((one) => one.kind !== proposed.kind)];
    return all.flatMap((variation) => {
      const recipe = varyRecipe(whole, variation);
      const made = recipe.ok ? expand(recipe.value) : recipe;
      return made.ok ? [{ variation, exercise: made.value }] : [];
    });
  }, [whole, proposed, twists, state.bpm]);
  return (
    <ul aria-label={say.t('screen.students.waysToHear')} className="mt-2 flex flex-col gap-1">
      {ways.map(({ variation, exercise }) => (
        <li key={variation.kind} className="flex items-center gap-2 text-sm">
          <Button
            aria-pressed={heard === variation.kind}
            aria-label={say.t('screen.students.hearWay', {
              variation: sayVariation(say, variation),
            })}
            onClick={() => hear(variation.kind, exercise)}
          >
            {heard === variation.kind ? (
              <Square size={14} aria-hidden />
            ) : (
              <Play size={14} aria-hidden />
            )}
          </Button>
          <span>{sayVariation(say, variation)}</span>
          {variation !== proposed && (
            <Button look="quiet" onClick={() => onApply(variation)}>
              {say.t('screen.students.thisInstead')}
            </Button>
          )}
        </li>
      ))}
    </ul>
  );
}
