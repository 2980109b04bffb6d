import { beforeAll, describe, expect, it } from 'vitest';
import { must } from '@/core/issue';
import { expand } from '@/core/recipe';
import { openDb } from '@/db';
import { connectionOf } from '@/db/connection';
import { asTeacher, getRecord, listDoors, listStudents, viewerOf } from '..';
import { EXERCISES, recipeOf } from './data';
import { seedDemo } from '.';

const NOW = Date.UTC(2026, 1, 20, 9);

function seeded() {
  const db = openDb(':memory:');
  seedDemo(db, NOW, 'Europe/Lisbon');
  const context = { db, now: () => NOW };
  const [door] = listDoors(context);
  if (!door?.people[0]) throw new Error('no studio');
  const teacher = must(asTeacher(context, viewerOf(context, door.people[0].id)));
  return { context, teacher, door };
}

describe('the demo studio', () => {
  let demo: ReturnType<typeof seeded>;
  beforeAll(() => {
    demo = seeded();
  });

  it.each(Object.entries(EXERCISES))('%s can be played', (_, plan) => {
    expect(expand(recipeOf(plan)).ok).toBe(true);
  });

  it('has a past of six weeks, never a future, and one who is stuck', () => {
    const { teacher } = demo;
    const rows = must(listStudents(teacher));
    expect(rows).toHaveLength(5);
    for (const { student } of rows) {
      const { items } = must(getRecord(teacher, student.id));
      expect(items.reduce((sum, one) => sum + one.count, 0)).toBeGreaterThan(40);
      for (const { at } of items.flatMap((one) => one.latest)) expect(at).toBeLessThan(NOW);
    }
    const [first] = rows;
    expect(first?.student.name).toBe('Lotte');
    expect(first?.needs[0]).toMatchObject({ kind: 'stuck' });
    expect(first?.needs[0]).toMatchObject({ name: 'Clave against hats on the upbeats' });
  });

  it('comes out the same every time', () => {
    const verdicts = ({ context }: typeof demo) => {
      const all = 'select kind, body, at from entry order by at, student_id, seq';
      return connectionOf(context.db).$client.prepare(all).all();
    };
    expect(verdicts(seeded())).toEqual(verdicts(demo));
  });
}, 60_000);
