import { planDays } from '@/core/plan';
import { getPlan } from '@/server';
import { sayMinutes } from '@/words';
import { need, type Io } from './io';
import { openStudioOf, sayOf, studentOf, type OnStudio } from './studio';

/** Writes the dates of a student's plan, a line each. */
export function planOfStudent(
  io: Io,
  options: OnStudio & { readonly student: string; readonly json?: true },
): void {
  const me = openStudioOf(options);
  const say = sayOf(me);
  const { planning } = need(getPlan(me, studentOf(me, options.student)));
  for (const { day, seconds, entries } of planDays(planning).days) {
    const of = [...new Set(entries.flatMap(({ work }) => planning.works[work]?.name ?? []))];
    if (options.json) io.out(`${JSON.stringify({ day, seconds, exercises: of })}\n`);
    else io.out(`${day}  ${sayMinutes(say, seconds)}  ${of.join(', ')}\n`);
  }
}
