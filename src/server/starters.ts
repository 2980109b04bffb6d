import { fail, type Result } from '@/core/issue';
import { STARTERS, type StarterId } from '@/core/program';
import type { ProgramId } from '@/core/studio';
import type { Teacher } from './authority';
import { sendToProgram } from './families';

/** Copies a starter program: a program of the studio’s own, with its exercises, to be changed and given.
 * @param names of the program, of its items and of what to watch for in each, in the studio’s words
 * @returns issues of `sendToProgram`; `name-missing` where an item has none */
export function copyStarter(
  me: Teacher,
  id: StarterId,
  names: {
    readonly program: string;
    readonly items: readonly string[];
    readonly cues: readonly string[];
  },
): Result<ProgramId> {
  const items = STARTERS[id]();
  if (names.items.length < items.length) {
    return fail({ code: 'name-missing', path: ['items'], what: 'exercise' });
  }
  return sendToProgram(
    me,
    { name: names.program },
    items.map(({ recipe, course }, nth) => ({
      name: names.items[nth] ?? '',
      recipe,
      course,
      follows: true,
      cues: [names.cues[nth] ?? ''].filter(Boolean),
    })),
  );
}
