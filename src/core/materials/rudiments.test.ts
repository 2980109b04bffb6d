import { describe, expect, it } from 'vitest';
import { must } from '../issue';
import { gracesOf } from '../pattern';
import { blankRecipe, expand } from '../recipe';
import { parsePhrase, stickingStart } from '../sticking';
import { SHIPPED_STICKINGS } from './data-stickings';

/** The 40 international drum rudiments (Percussive Arts Society), hands and ornaments, typed from memory and read twice: a
 * capital is a stroke, small letters before it its grace notes, `=` a diddle, `~` a buzz; accents and rests left out. */
const TABLE: readonly string[] = [
  'R L R L R L R L',
  'R L R L L R L R',
  'R L R L R L R',
  'R~ L~ R~ L~',
  'R R R L L L',
  'R R L L R R L L',
  'R R L L R L L R R L',
  'R L L R R L',
  'R R L L R R L',
  'R R L L R R L L R L L R R L L R R L',
  'R R L L R R L L R L',
  'R R L L R R L L R R L',
  'R R L L R R L L R R L L R',
  'R R L L R R L L R R L L R R L',
  'R R L L R R L L R R L L R R L L R',
  'R L R R L R L L',
  'R L R L R R L R L R L L',
  'R L R L R L R R L R L R L R L L',
  'R L R R L L R L R R L L',
  'lR rL',
  'lR L R rL R L',
  'lR R rL L',
  'lR L R L lR',
  'lR L R R rL R L L',
  'lR R L R rL L R L',
  'lR L R R L L rL R L L R R',
  'lR L R rL lR L R rL',
  'lR R L lR R L',
  'lR L rL R',
  'lR L= R rL R= L',
  'llR rrL',
  'llR L rrL R',
  'llR llR L rrL rrL R',
  'llR L R llR L R',
  'R= L R R L= R L L',
  'R llR L R R L rrL R L L',
  'R llR llR L R R L rrL rrL R L L',
  'llR L R L rrL R L R',
  'llR llR L R L rrL rrL R L R',
  'llR llR llR L R L rrL rrL rrL R L R',
];

function said(id: string): string {
  const { sticking = '', slot = '16' } = SHIPPED_STICKINGS[id] ?? {};
  return must(parsePhrase(sticking, slot))
    .slots.flatMap(({ letter, ornament }) => {
      if (letter !== 'R' && letter !== 'L') return [];
      const limb = letter === 'R' ? 'RH' : 'LH';
      const graces = gracesOf({ ornament: ornament ?? undefined, limb });
      const before = graces.map((hand) => (hand === 'RH' ? 'r' : 'l')).join('');
      const after = ornament === 'diddle' ? '=' : ornament === 'buzz' ? '~' : '';
      return [before + letter + after];
    })
    .join(' ');
}

describe('the 40 rudiments', () => {
  it.each(TABLE.map((hands, index) => [index + 1, hands] as const))('%i is %s', (number, hands) => {
    expect(said(`rudiment-${number}`)).toBe(hands);
  });

  it('each can be played', () => {
    for (const [id, { sticking, slot }] of Object.entries(SHIPPED_STICKINGS)) {
      if (!id.startsWith('rudiment-')) continue;
      const content = { ...stickingStart(sticking), slot };
      expect(expand({ ...blankRecipe(), play: { content } }).ok, id).toBe(true);
    }
  });
});
