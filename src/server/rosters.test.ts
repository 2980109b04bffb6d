import { describe, expect, it } from 'vitest';
import { LIKELY_CHOICES } from '@/core/format';
import { must } from '@/core/issue';
import { archiveImported, exportRoster, importFile, listRoster, lookIntoFile } from '.';
import { smallStudio, testContext } from './studio.fixture';

const LIKELY = LIKELY_CHOICES;
const bytes = (text: string) => ({ name: 'class.csv', bytes: new TextEncoder().encode(text) });
const namesOf = (me: ReturnType<typeof smallStudio>['teacher']) =>
  must(listRoster(me)).map(({ name }) => name);

describe('a roster', () => {
  it('comes in as it was looked at, whoever is here already not twice, and goes out again', () => {
    const { teacher } = smallStudio(testContext());
    const [own = ''] = namesOf(teacher);
    const file = bytes(
      `Name;About;Handedness\nAda;beginner;mirrored\n${own.toUpperCase()};;\nBo;;\nBo;again;\n`,
    );
    const look = must(lookIntoFile(teacher, file, LIKELY));
    expect(look).toMatchObject({
      kind: 'roster',
      coming: [{ name: 'Ada', about: 'beginner', handedness: 'mirrored' }, { name: 'Bo' }],
      known: [own.toUpperCase(), 'Bo'],
    });
    const imported = must(importFile(teacher, file, LIKELY));
    expect(namesOf(teacher)).toEqual([own, 'Ada', 'Bo']);
    expect(must(listRoster(teacher))[1]?.kit?.handedness).toBe('mirrored');
    must(archiveImported(teacher, imported, true));
    expect(namesOf(teacher)).toEqual([own]);
    must(archiveImported(teacher, imported, false));
    expect(namesOf(teacher)).toEqual([own, 'Ada', 'Bo']);
  });

  it('goes out as a table that comes in elsewhere', () => {
    const context = testContext();
    const { teacher: from } = smallStudio(context);
    const text = must(exportRoster(from));
    expect(text.split('\r\n')[0]).toBe('name,about,handedness,programs');
    expect(text).toContain('Autumn');
    const { teacher: to } = smallStudio(context);
    expect(must(lookIntoFile(to, bytes(text), LIKELY))).toMatchObject({
      coming: [],
      known: namesOf(from),
    });
  });

  it('with a wrong cell is refused as a whole, each with its line', () => {
    const { teacher } = smallStudio(testContext());
    const before = namesOf(teacher);
    const result = importFile(
      teacher,
      bytes('name,handedness\nAda,both\n,right\nBo,right\n'),
      LIKELY,
    );
    expect(result.ok ? [] : result.issues).toMatchObject([
      { code: 'csv-cell', line: 2, column: 'handedness', text: 'both' },
      { code: 'csv-cell', line: 3, column: 'name' },
    ]);
    expect(namesOf(teacher)).toEqual(before);
  });
});
