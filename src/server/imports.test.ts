import { describe, expect, it } from 'vitest';
import { FORMATS, LIKELY_CHOICES } from '@/core/format';
import { SHIPPED_PIECES } from '@/core/format/pieces.fixture';
import { must } from '@/core/issue';
import { blankRecipe, expand, toggleOstinato } from '@/core/recipe';
import { NOTHING_IMPORTED } from '@/core/studio';
import { bpm } from '@/core/time';
import type { SentFile } from './read-file';
import { archiveImported, importFile, listExercises, listMaterials, lookIntoFile } from '.';
import { smallStudio, testContext } from './studio.fixture';

function rock(format: 'musicxml' | 'midi'): SentFile {
  const exercise = must(expand(toggleOstinato(blankRecipe(), 'rock-8ths')));
  const bytes = FORMATS[format].write('Rock', [{ name: 'Rock', says: '', exercise, bpm: bpm(90) }]);
  return { name: `file.${FORMATS[format].ending}`, bytes };
}

const teacher = () => smallStudio(testContext()).teacher;

describe('importFile', () => {
  it.each(['musicxml', 'midi'] as const)(
    '%s: what was looked at comes in, and goes out again',
    (format) => {
      const me = teacher();
      const before = must(listExercises(me)).length;
      const look = must(lookIntoFile(me, rock(format), LIKELY_CHOICES));
      if (look.kind !== 'music') throw new Error(look.kind);
      expect(
        look.parts.map(({ drafts }) => drafts.map(({ name, kind }) => `${name} ${kind}`)),
      ).toEqual([['Rock exercise']]);
      expect(must(listExercises(me))).toHaveLength(before);
      const imported = must(importFile(me, rock(format), LIKELY_CHOICES));
      expect(imported.exercises).toHaveLength(1);
      expect(must(listExercises(me)).map(({ name }) => name)).toContain('Rock');
      must(archiveImported(me, imported, true));
      expect(must(listExercises(me))).toHaveLength(before);
    },
  );

  it('a part becomes what was chosen for it', () => {
    const me = teacher();
    const parts = [{ part: 0, as: 'ostinato', voice: null, cut: 'whole' }] as const;
    const { materials } = must(
      importFile(me, rock('midi'), { ...LIKELY_CHOICES, grid: '8', parts }),
    );
    const [material] = must(listMaterials(me));
    expect(material?.id).toBe(materials[0]);
    expect(
      material?.kind === 'ostinato' &&
        material.content.lanes.map(({ voice, grid }) => `${voice} ${grid}`),
    ).toEqual(['hat x', 'bass x-', 'snare -X']);
    const left = { ...parts[0], as: 'leave' } as const;
    const nothing = must(
      importFile(me, rock('midi'), { ...LIKELY_CHOICES, grid: '8', parts: [left] }),
    );
    expect(nothing).toEqual(NOTHING_IMPORTED);
  });

  it('what has no title is called as its file', () => {
    const { bytes } = rock('musicxml');
    const text = new TextDecoder()
      .decode(bytes)
      .replace(/<work>.*?<\/work>|<part-name>.*?<\/part-name>/g, '');
    const look = must(
      lookIntoFile(
        teacher(),
        { name: 'take 3.musicxml', bytes: new TextEncoder().encode(text) },
        LIKELY_CHOICES,
      ),
    );
    expect(look.kind === 'music' && look.parts[0]?.drafts[0]?.name).toBe('take 3');
  });

  it.each([
    ['a text', 'something else'],
    ['a picture', '\u0089PNG\r\n\u001a\n\0\0\0\rIHDR'],
    ['a bundle that is cut off', '{"format": "mivvel"'],
  ])('%s is refused, and nothing comes in', (_, text) => {
    const me = teacher();
    const before = must(listMaterials(me)).length;
    const file = { name: 'file', bytes: new TextEncoder().encode(text) };
    expect(lookIntoFile(me, file, LIKELY_CHOICES).ok).toBe(false);
    expect(importFile(me, file, LIKELY_CHOICES).ok).toBe(false);
    expect(must(listMaterials(me))).toHaveLength(before);
  });

  it('shows the first of many, and says how many come', () => {
    const me = teacher();
    const bytes = FORMATS.musicxml.write('All', SHIPPED_PIECES.slice(0, 20));
    const file = { name: 'all.musicxml', bytes };
    const look = must(lookIntoFile(me, file, LIKELY_CHOICES));
    const [part] = look.kind === 'music' ? look.parts : [];
    expect([part?.drafts.length, part?.count]).toEqual([12, 20]);
    expect(must(importFile(me, file, LIKELY_CHOICES)).exercises).toHaveLength(20);
  });
});
