import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blankRecipe } from '@/core/recipe';
import { startHistory } from '../base/history';
import { draftReducer, isSaved, type Draft, type DraftAction } from './draft';

const draft: Draft = { id: null, sheet: 0, name: 'one', recipe: blankRecipe() };

function run(actions: readonly DraftAction[]) {
  return actions.reduce(draftReducer, startHistory({ draft, saved: null }));
}

function name(text: string, about?: string): DraftAction {
  return { kind: 'edit', change: { name: text }, about };
}

describe('draftReducer', () => {
  it('takes letters of one field back together, and those after settling apart', () => {
    const typed = [name('a', 'name'), name('ab', 'name'), name('abc', 'name')];
    expect(run([...typed, { kind: 'undo' }]).draft.name).toBe('one');
    const settled = [...typed, { kind: 'settle' as const }, name('abcd', 'name')];
    expect(run([...settled, { kind: 'undo' }]).draft.name).toBe('abc');
  });

  it('undo then redo changes nothing, after any edits', () => {
    fc.assert(
      fc.property(fc.array(fc.string(), { minLength: 1, maxLength: 20 }), (names) => {
        const edited = run(names.map((text) => name(text)));
        const back = names.reduce((one) => draftReducer(one, { kind: 'undo' }), edited);
        expect(back.draft).toEqual(draft);
        const again = names.reduce((one) => draftReducer(one, { kind: 'redo' }), back);
        expect(again.draft).toEqual(edited.draft);
      }),
    );
  });

  it('an edit after undo forgets what was undone', () => {
    const history = run([name('a'), { kind: 'undo' }, name('b'), { kind: 'redo' }]);
    expect(history.draft.name).toBe('b');
  });

  it('saving gives the draft its id and keeps later edits unsaved', () => {
    const saved = { ...draft, id: 'x' as Draft['id'] };
    const history = run([{ kind: 'saved', draft: saved }]);
    expect(isSaved(history)).toBe(true);
    expect(isSaved(draftReducer(history, name('later')))).toBe(false);
    expect(draftReducer(history, name('later')).draft.id).toBe('x');
  });

  it('what is undone to before the first saving is still the same exercise', () => {
    const saved = { ...draft, name: 'two', id: 'x' as Draft['id'] };
    const history = run([name('two'), { kind: 'saved', draft: saved }, { kind: 'undo' }]);
    expect(history.draft).toMatchObject({ name: 'one', id: 'x' });
  });
});
