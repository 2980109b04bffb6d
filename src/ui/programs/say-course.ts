import { rungsOf, type Course } from '@/core/ladder';
import { sayDosage, sayRung, type Say } from '@/words';

/** Most rungs that are written out. */
const MOST_RUNGS = 21;

/** All rungs of a ladder, or the first and last of many. */
export function sayRungs(say: Say, { ladder }: Course): string {
  const rungs = rungsOf(ladder).map((rung) => sayRung(say, rung.asks));
  const apart = isWordy(ladder) ? ' · ' : ' ';
  const shown =
    rungs.length <= MOST_RUNGS
      ? rungs.join(apart)
      : `${rungs.slice(0, 8).join(apart)} … ${rungs.slice(-3).join(apart)}`;
  return say.t('screen.programs.allRungs', { count: rungs.length, rungs: shown });
}

/** Whether its rungs are more than tempos. */
function isWordy(ladder: Course['ladder']): boolean {
  return rungsOf(ladder).some(({ asks }) => asks.kind !== 'tempo');
}

/** Rungs that fit on one line. */
const MOST_IN_LINE = 12;

/** A course in one line: its rungs, dosage and rule.
 * @example '60 65 70 75 80, 5 minutes each, up after 3 clean' */
export function sayCourse(say: Say, { ladder, dosage, rule, follow, headStart }: Course): string {
  const rungs = rungsOf(ladder);
  const says = rungs.map((rung) => sayRung(say, rung.asks));
  const [apart, most] = isWordy(ladder) ? [' · ', 4] : [' ', MOST_IN_LINE];
  const way =
    rungs.length <= most
      ? says.join(apart)
      : say.t('screen.programs.rungs', {
          first: says.slice(0, most / 2).join(apart),
          last: says.at(-1) ?? '',
          rungs: rungs.length,
        });
  return say.t('screen.programs.course', {
    way,
    dosage: rungs[0]?.dosage ? 'none' : sayDosage(say, dosage),
    ...{ clean: rule.clean, of: rule.of ?? 0 },
    follow,
    headStart: headStart ? 'yes' : 'no',
  });
}
