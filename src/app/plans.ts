'use server';

import { scheduleSchema } from '@/core/plan';
import { exportCalendar, exportLog, getSpeech, openFeed, setSchedule } from '@/server';
import { sayOnPaperIn } from '@/words';
import { eitherAction } from './act';
import { languageNow } from './language';
import { flag, ids } from './shapes';

/** Sets when a student practises; for the teacher and for the student. */
export const setPlanOf = eitherAction([ids.person, scheduleSchema], setSchedule, { changes: true });

/** The plan as a calendar file. */
export async function calendarOf(student: unknown) {
  const locale = await languageNow();
  const write = eitherAction([ids.person], (me, id) =>
    exportCalendar(me, sayOnPaperIn(locale, getSpeech(me)), id),
  );
  return write(student);
}

/** The secret part of the calendar's address; the flag makes another one. */
export const feedOf = eitherAction([ids.person, flag], openFeed);

/** The log as a table. */
export const logOf = eitherAction([ids.person], exportLog);
