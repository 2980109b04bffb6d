'use client';

import { useCallback, type ComponentProps } from 'react';
import { shapeKey } from '@/core/analysis';
import type { Material } from '@/core/materials';
import { expand, type Exercise } from '@/core/recipe';
import { attempt } from '../base';
import { ShelfProvider, type SavedTwin, type Shelf, type StudentKit } from '../library';
import { Workbench } from './workbench';

/** The teacher's workbench, with what stands on the studio's shelf within reach. */
export function Bench({
  own,
  students,
  exercises,
  ...props
}: ComponentProps<typeof Workbench> & {
  own: readonly Material[];
  students: readonly StudentKit[];
  exercises: Shelf['exercises'];
}) {
  const { open, twins, saveRules } = props.actions;
  const load = useCallback(
    async (id: string) => {
      const found = await attempt(() => open(id));
      return found?.ok ? found.value.recipe : null;
    },
    [open],
  );
  const findSame = useCallback(
    async (exercise: Exercise) => {
      const found = await attempt(() => twins(shapeKey(exercise, 'sound')));
      return (found?.ok ? found.value : []).flatMap(({ id, name, recipe }): SavedTwin[] => {
        const other = expand(recipe);
        return other.ok ? [{ id, name, exercise: other.value }] : [];
      });
    },
    [twins],
  );
  return (
    <ShelfProvider
      own={own}
      students={students}
      exercises={exercises}
      load={load}
      findSame={findSame}
      saveRules={saveRules}
    >
      <Workbench {...props} />
    </ShelfProvider>
  );
}
