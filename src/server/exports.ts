import { createHash } from 'node:crypto';
import { FORMATS, piecesOf, writeCalendar, type FormatId } from '@/core/format';
import { ok, type Result } from '@/core/issue';
import { planDays } from '@/core/plan';
import type { PersonId, ProgramId } from '@/core/studio';
import { findPass, findPassByHash, findViewer, sha256 } from '@/db';
import { sayCaution, sayMinutes, saySentence, type Say } from '@/words';
import { newPass, sealed, unsealed } from './access';
import { asStudent, openStudent, type Student, type Teacher } from './authority';
import { exportBundleOf } from './bundles-out';
import type { Context } from './context';
import { planOf } from './plans';
import { getProgram } from './programs';

/** A program as a file: in one of the open formats, or as a bundle.
 * @returns issues of opening it, and of exercises that cannot be played */
export function exportProgram(
  me: Teacher,
  id: ProgramId,
  format: FormatId | 'bundle',
  say: Say,
): Result<string | Uint8Array> {
  const program = getProgram(me, id);
  if (!program.ok) return program;
  const { name, outline, recipes } = program.value;
  if (format === 'bundle') return exportBundleOf(me, id);
  const pieces = piecesOf(outline, recipes, (recipe) => saySentence(say, recipe));
  return pieces.ok ? ok(FORMATS[format].write(name, pieces.value)) : pieces;
}

/** A name for something in a file that leaves: always the same, and nothing can be opened or found with it. */
function derivedId(purpose: string, id: string): string {
  return createHash('sha256').update(`${purpose} ${id}`).digest('hex').slice(0, 24);
}

/** A student's plan as a calendar, a day of practice an event.
 * @returns issues of opening the student; text of a file */
export function exportCalendar(
  me: Teacher | Student,
  say: Say,
  studentId: PersonId,
): Result<string> {
  const opened = openStudent(me, studentId);
  if (!opened.ok) return opened;
  const { plan } = planOf({ now: me.now, store: opened.value });
  const { works } = plan.planning;
  const { name } = plan.student;
  const days = planDays(plan.planning).days.flatMap(({ day, entries, seconds }) => {
    const names = new Set(entries.flatMap(({ work }) => works[work]?.name ?? []));
    if (names.size === 0) return [];
    const title = say.t('sheet.calendar.title', { minutes: sayMinutes(say, seconds) });
    const text = [...names, sayCaution(say)].join('\n');
    return [{ id: `${derivedId('calendar', studentId)}-${day}`, day, title, text }];
  });
  return ok(writeCalendar(say.t('sheet.calendar.name', { name }), days, me.now()));
}

/** The secret part of the address at which a student's plan is a calendar; made when it is first asked for.
 * @param anew makes another one, so that the one before opens nothing any more
 * @returns issues of opening the student */
export function openFeed(
  me: Teacher | Student,
  studentId: PersonId,
  anew: boolean,
): Result<string> {
  const opened = openStudent(me, studentId);
  if (!opened.ok) return opened;
  const { calendars } = opened.value;
  if (anew) calendars.endAll('calendar');
  // One that came from before links were sealed goes on, and cannot be told again.
  const known = calendars.list(me.now()).find(({ hash }) => hash === null);
  if (known) return ok(sealed('calendar', known.id));
  const made = newPass(me, 'calendar');
  calendars.insert(made);
  return ok(sealed('calendar', made.id));
}

/** The plan that a secret address opens, to whoever knows it. @returns issue `not-yours` for any other */
export function readFeed(context: Context, feed: string): Result<Student> {
  const { db, now } = context;
  const id = unsealed('calendar', feed);
  const pass = id === null ? findPassByHash(db, sha256(feed), now()) : findPass(db, id, now());
  const isFeed = pass?.kind === 'calendar' && pass.personId !== null;
  return asStudent(context, isFeed && pass.personId ? findViewer(db, pass.personId) : null);
}
