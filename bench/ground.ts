import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import type { PersonId, Role } from '@/core/studio';
import { closeDb } from '@/db';
import { signInAs } from '@/server';
import { App } from '../e2e/server';
import { largeStudio } from './large-studio';
import { playerOf, type Answer, type Player } from './students-at-once';

/** A studio in a folder of its own, as files that scenarios begin with. */
export interface Ground {
  readonly folder: string;
  readonly players: readonly Player[];
  /** The first of them. */
  readonly player: Player;
  readonly teacher: string;
}

const MADE: string[] = [];

/** A folder that goes when all is measured. */
export function made(name: string): string {
  const folder = mkdtempSync(join(tmpdir(), `mivvel-${name}-`));
  MADE.push(folder);
  return folder;
}

export function ground(name: string, entries: readonly number[], items?: number): Ground {
  const folder = join(made('walls'), name);
  mkdirSync(folder);
  const large = largeStudio(join(folder, 'mivvel.sqlite'), entries, items);
  const browser = { agent: '', address: '' };
  const tokenOf = (personId: PersonId, role: Role) =>
    signInAs(large.context, { personId, role }, browser);
  const players = large.students.map((me) => playerOf(me, tokenOf(me.store.id, 'student')));
  const [player] = players;
  if (!player) throw new Error('nobody there');
  const teacher = tokenOf(large.teacherId, 'owner');
  closeDb(large.context.db);
  return { folder, players, player, teacher: `mivvel-session=${teacher}` };
}

/** Runs something against Mivvel on a folder.
 * @param hours from one backup to the next; none is made when left out */
export async function on<T>(
  folder: string,
  run: (app: App) => Promise<T>,
  hours = '0',
): Promise<T> {
  process.env.MIVVEL_BACKUP_HOURS = hours;
  const app = new App(folder);
  await app.start();
  try {
    return await run(app);
  } finally {
    await app.stop('SIGKILL');
  }
}

/** Lets all folders go. */
export function clearAway(): void {
  for (const folder of MADE.splice(0)) rmSync(folder, { recursive: true, force: true });
}

/** Entries that are in a file. */
function stored(folder: string): ReadonlySet<string> {
  const db = new Database(join(folder, 'mivvel.sqlite'));
  const ids = new Set(db.prepare('select id from entry').pluck().all() as string[]);
  db.close();
  return ids;
}

/** How many acknowledged entries are not in a file. */
export function lost(folder: string, answers: readonly Answer[]): number {
  const there = stored(folder);
  return answers.flatMap((one) => one.taken).filter((id) => !there.has(id)).length;
}
