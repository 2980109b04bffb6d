import { describe, expect, it } from 'vitest';
import { SHIPPED } from '@/core/materials';
import { PLAIN_SPEECH } from '@/core/studio';
import { en } from './en';
import { sayMaterial, sayNamed, sayUse } from './material';
import { ENGLISH, sayIn } from './languages';
import { speaker } from './say';

const BRITISH = sayIn('en-GB', { ...PLAIN_SPEECH, notes: 'british' });
const PSEUDO = speaker({ 'en-GB': () => en, 'en-XA': () => bracketed(en) })('en-XA');

function bracketed(node: unknown): object {
  if (typeof node === 'string') return `⟦${node}⟧` as unknown as object;
  const entries = Object.entries(node as object).map(([key, inner]) => [key, bracketed(inner)]);
  return Object.fromEntries(entries) as object;
}

describe('what ships', () => {
  it.each(SHIPPED.map((one) => [one.id, one] as const))(
    '%s is called in every language',
    (_, one) => {
      expect(sayMaterial(ENGLISH, one)).toBe(one.name);
      expect(sayNamed(ENGLISH, one.name)).toBe(one.name);
      expect(sayMaterial(PSEUDO, one)).toMatch(/^⟦.*⟧$/);
      expect(sayNamed(PSEUDO, one.name)).toBe(sayMaterial(PSEUDO, one));
      expect(sayUse(PSEUDO, one.trains)).toMatch(/^⟦.*⟧$/);
    },
  );

  it('is called in the note names of the studio', () => {
    expect(sayNamed(BRITISH, 'rock in 8ths')).toBe('rock in quavers');
    expect(sayNamed(BRITISH, 'ride, a bar of 8ths and one of triplets')).toBe(
      'ride, a bar of quavers and one of triplets',
    );
  });

  it('is called by the limbs that play it', () => {
    const feet = { id: 'clave-foot', content: { name: '' } };
    const hands = { id: 'hand-to-hand-right', content: { name: '' } };
    expect(sayMaterial(ENGLISH, feet)).toBe('son clave 3-2 with the left foot');
    const mirrored = { turned: 'mirrored' as const };
    expect(sayMaterial(ENGLISH, { ...feet, ...mirrored })).toBe(
      'son clave 3-2 with the right foot',
    );
    expect(sayMaterial(ENGLISH, { ...feet, turned: 'left-lead' })).toContain('left foot');
    expect(sayMaterial(ENGLISH, { ...hands, turned: 'left-lead' })).toContain('left lead');
  });

  it('is known by what it was called before', () => {
    expect(sayNamed(BRITISH, 'left-foot hi-hat in quarters')).toBe('foot hi-hat in crotchets');
  });

  it('is told from what is a studio’s own', () => {
    expect(sayNamed(PSEUDO, 'my 8ths')).toBe('my 8ths');
    expect(sayMaterial(PSEUDO, { id: 'line-999', content: { name: 'x' } })).toMatch(/999/);
    expect(sayUse(PSEUDO, 'warming up')).toBe('warming up');
  });
});
