import { describe, expect, it } from 'vitest';
import { FULL_KIT } from '@/core/kit';
import { USUAL_SCHEDULE } from '@/core/plan';
import { PLAIN_SPEECH } from '@/core/studio';
import { connectionOf, openDb } from './connection';
import { person, studio } from './schema';

const IDS = { studio: '0'.repeat(21) + '1', student: '0'.repeat(21) + '2' };

/** A file with a studio and a student in it, of whom this is kept. */
function fileWith(kept: {
  readonly table: string;
  readonly column: string;
  readonly json: unknown;
}) {
  const db = connectionOf(openDb(':memory:'));
  const { $client: file } = db;
  file
    .prepare('insert into studio (id, name, zone, speech) values (?, ?, ?, ?)')
    .run(IDS.studio, 'Mole End', 'UTC', JSON.stringify(PLAIN_SPEECH));
  file
    .prepare(
      'insert into person (id, studio_id, role, name, kit, schedule) values (?, ?, ?, ?, ?, ?)',
    )
    .run(
      IDS.student,
      IDS.studio,
      'student',
      'Ines',
      JSON.stringify(FULL_KIT),
      JSON.stringify(USUAL_SCHEDULE),
    );
  file.prepare(`update ${kept.table} set ${kept.column} = ?`).run(JSON.stringify(kept.json));
  return db;
}

describe('checkedJson', () => {
  it('gives back what was stored', () => {
    const db = fileWith({ table: 'person', column: 'kit', json: FULL_KIT });
    expect(db.select().from(person).get()).toMatchObject({
      kit: FULL_KIT,
      schedule: USUAL_SCHEDULE,
    });
    expect(db.select().from(studio).get()).toMatchObject({ speech: PLAIN_SPEECH, steps: null });
  });

  it.each([
    ['a kit with a voice that is none', 'person', 'kit', { ...FULL_KIT, voices: ['gong'] }],
    [
      'a schedule on a day that is none',
      'person',
      'schedule',
      { ...USUAL_SCHEDULE, target: '2026-02-30' },
    ],
    ['speech of another kind', 'studio', 'speech', 'American'],
    ['steps that are none', 'studio', 'steps', ['backwards']],
  ] as const)('refuses %s', (_, table, column, json) => {
    const db = fileWith({ table, column, json });
    const read = table === 'person' ? db.select().from(person) : db.select().from(studio);
    expect(() => read.all()).toThrow(/invalid_/);
  });
});
