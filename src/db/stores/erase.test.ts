import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import type { PersonId, StudioId } from '@/core/studio';
import { closeDb, connectionOf, openDb } from '../connection';
import { StorageError } from '../trouble';
import { erasePerson } from './erase';

it('erases nothing where there is no room to write the file over, then all of it', () => {
  const folder = mkdtempSync(join(tmpdir(), 'mivvel-erase-'));
  const db = openDb(join(folder, 'mivvel.sqlite'));
  const { $client } = connectionOf(db);
  $client.exec("insert into studio (id, name, zone) values ('s', 'Mole End', 'UTC')");
  $client.exec("insert into person (id, studio_id, role, name) values ('p', 's', 'student', 'To')");
  const people = () => $client.prepare('select name from person').pluck().all();
  const erase = (free?: number) =>
    erasePerson(db, 's' as StudioId, 'p' as PersonId, free === undefined ? free : () => free);
  expect(() => erase(100_000)).toThrow(StorageError);
  expect(people()).toEqual(['To']);
  expect(erase()).toBe(true);
  expect(people()).toEqual([]);
  expect(erase()).toBe(false);
  closeDb(db);
  rmSync(folder, { recursive: true });
});
