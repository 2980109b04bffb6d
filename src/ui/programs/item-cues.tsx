'use client';

import { cuesOf } from '@/core/analysis';
import { rungsOf } from '@/core/ladder';
import type { ItemId } from '@/core/studio';
import type { OutlineItem } from '@/core/program';
import { type ClosedRecipe } from '@/core/recipe';
import { tempoFor } from '@/core/time';
import { sayCue } from '@/words';
import { useSpeech, TypedField } from '../base';
import { exerciseOf } from './glance';

/** What to watch for: derived, or written by the teacher. */
export function Cues({
  item,
  recipe,
  actions,
}: {
  item: OutlineItem;
  recipe: ClosedRecipe | undefined;
  actions: {
    readonly change: (id: ItemId, change: (item: OutlineItem) => OutlineItem) => void;
  };
}) {
  const { say } = useSpeech();
  const exercise = recipe && exerciseOf(recipe);
  const first = rungsOf(item.course.ladder)[0]?.bpm;
  const derived = exercise && first ? cuesOf(exercise, tempoFor(exercise.meter, first)) : [];
  return (
    <label className="flex items-baseline gap-2 text-sm">
      <span className="shrink-0">{say.t('screen.programs.watchFor')}</span>
      <TypedField
        label={say.t('screen.programs.watchFor')}
        value={item.cues}
        write={(cues) => cues.join(' / ')}
        read={readCues}
        onTake={(cues) => actions.change(item.id, (one) => ({ ...one, cues }))}
        maxLength={480}
        placeholder={derived.map((cue) => sayCue(say, cue, recipe?.meter ?? '4/4')).join(' / ')}
        inputMode="text"
        className="field min-w-0 flex-1"
      />
    </label>
  );
}

/** Up to three, with strokes between them. */
function readCues(text: string): readonly string[] {
  const cues = text.split('/').map((cue) => cue.trim().slice(0, 160));
  return cues.filter((cue) => cue !== '').slice(0, 3);
}
