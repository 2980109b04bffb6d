import type { Left } from '@/core/format';
import type { LogLook } from '@/core/studio';
import { sayVoice } from './kit';
import type { Say } from './say';

/** Most bars that are named. */
const MOST_BARS = 8;

/** What does not come in as it stands, why, and where.
 * @example sayLeft(say, { why: 'tempo', bars: ['4'], count: 1 }) // => 'tempo changes (bar 4)' */
export function sayLeft(say: Say, left: Left): string {
  const shown = left.bars.slice(0, MOST_BARS).join(', ');
  const bars = left.bars.length > MOST_BARS ? `${shown} …` : shown;
  const why = whyOf(say, left);
  return bars === '' ? why : say.t('imports.leftIn', { why, bars });
}

/** Most lines that are named. */
const MOST_LINES = 8;

const ROWS_LEFT = {
  student: 'imports.noSuchStudent',
  students: 'imports.severalStudents',
  exercise: 'imports.noSuchExercise',
  several: 'imports.severalExercises',
} as const;

/** Rows of a log that have no place, and what to do. */
export function sayRowsLeft(say: Say, { why, name, lines }: LogLook['left'][number]): string {
  const shown = lines.slice(0, MOST_LINES).join(', ');
  return say.t(ROWS_LEFT[why], {
    name,
    lines: shown,
    more: Math.max(0, lines.length - MOST_LINES),
  });
}

function whyOf(say: Say, left: Left): string {
  const { count } = left;
  switch (left.why) {
    case 'key':
      return say.t('imports.left.key', { count, key: String(left.key ?? 'none') });
    case 'nearest': {
      const voice = sayVoice(say, left.voice);
      return say.t('imports.left.nearest', { count, key: String(left.key), voice });
    }
    default:
      return say.t(`imports.left.${left.why}`, { count });
  }
}
