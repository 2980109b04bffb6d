import { describe, expect, it } from 'vitest';
import { familyOf } from '@/core/family';
import { blankRecipe } from '@/core/recipe';
import type { FamilyId } from '@/core/studio';
import { startHistory } from '../base/history';
import {
  familyHistory,
  type FamilyAction,
  type FamilyDraft,
  type FamilyHistory,
} from './family-history';

const first: FamilyDraft = { id: null, name: '', family: familyOf(blankRecipe()) };
const start = startHistory({ draft: first, saved: null });
const named = (name: string, about?: string) =>
  ({ kind: 'edit', change: { name }, about }) as const;

function after(...actions: FamilyAction[]): FamilyHistory {
  return actions.reduce(familyHistory, start);
}

describe('familyHistory', () => {
  it('steps back and forth; a new edit ends the way forth', () => {
    const two = after(named('a'), named('b'));
    expect(familyHistory(two, { kind: 'undo' }).draft.name).toBe('a');
    const back = after(named('a'), named('b'), { kind: 'undo' });
    expect(familyHistory(back, { kind: 'redo' }).draft.name).toBe('b');
    expect(familyHistory(back, named('c')).future).toEqual([]);
    expect(familyHistory(start, { kind: 'undo' })).toBe(start);
  });

  it('letters typed in one field are one step', () => {
    const typed = after(named('G', 'name'), named('Gr', 'name'), named('Gro', 'name'));
    expect(typed.past).toHaveLength(1);
    expect(familyHistory(typed, { kind: 'undo' }).draft.name).toBe('');
    expect(after(named('G', 'name'), { kind: 'undo' }, named('H', 'name')).past).toHaveLength(1);
    const forth = [named('G', 'name'), { kind: 'undo' }, { kind: 'redo' }] as const;
    expect(after(...forth, named('H', 'name')).past).toHaveLength(2);
  });

  it('an edit may look at what is there now', () => {
    const dropped = after(
      { kind: 'edit', change: ({ family }) => ({ family: { ...family, dropped: ['a'] } }) },
      {
        kind: 'edit',
        change: ({ family }) => ({ family: { ...family, dropped: [...family.dropped, 'b'] } }),
      },
    );
    expect(dropped.draft.family.dropped).toEqual(['a', 'b']);
  });

  it('what is edited while it is being saved stays, under the new id', () => {
    const id = 'f' as FamilyId;
    const asked = after(named('a'));
    const meanwhile = familyHistory(asked, named('b'));
    const saved = familyHistory(meanwhile, { kind: 'saved', draft: { ...asked.draft, id } });
    expect(saved.draft).toMatchObject({ id, name: 'b' });
    expect(saved.saved).toMatchObject({ id, name: 'a' });
  });

  it('what is saved keeps its id, however far one steps back', () => {
    const id = 'f' as FamilyId;
    const edited = after(named('a'), named('b'));
    const saved = familyHistory(edited, { kind: 'saved', draft: { ...edited.draft, id } });
    expect(saved.saved?.name).toBe('b');
    expect(familyHistory(saved, { kind: 'undo' }).draft).toMatchObject({ id, name: 'a' });
  });
});
