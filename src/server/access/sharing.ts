import { fail, ok, type Result } from '@/core/issue';
import type { Program, ProgramId, Speech } from '@/core/studio';
import { findOwner, findPass } from '@/db';
import { asTeacher, type Teacher } from '../authority';
import { exportBundleOf } from '../bundles-out';
import type { Context } from '../context';
import { getProgram } from '../programs';
import { getSpeech } from '../studios';
import { note } from '../audit';
import { sealed, unsealed } from './secret';
import { newPass } from './passes';

/** An address at which a program can be looked at and taken by whoever has it. */
export interface Shared {
  readonly id: string;
  readonly path: string;
  readonly since: number;
}

/** Where a program is shared; null where it is not. @returns issue `not-found` */
export function getShared(me: Teacher, program: ProgramId): Result<Shared | null> {
  const found = getProgram(me, program);
  if (!found.ok) return found;
  const all = me.store.shared.list(me.now());
  const pass = all.find((one) => one.programId === program);
  if (!pass) return ok(null);
  const { id, createdAt: since } = pass;
  return ok({ id, since, path: `/shared/${sealed('program', id)}` });
}

/** Shares a program at a private address; or no longer.
 * @returns the address; issue `not-found` */
export function shareProgram(
  me: Teacher,
  program: ProgramId,
  shared: boolean,
): Result<Shared | null> {
  const known = getShared(me, program);
  if (!known.ok) return known;
  if (known.value && !shared) me.store.shared.end(known.value.id);
  if (!known.value && shared) {
    me.store.shared.insert(newPass(me, 'program', { programId: program }));
    note(me, 'programShared', me.id);
  }
  return getShared(me, program);
}

/** What a shared address shows: the program as it is now, and as a file for another Mivvel.
 * @returns issue `link-over` */
export function openShared(
  context: Context,
  address: string,
): Result<{
  readonly program: Program;
  readonly speech: Speech;
  readonly studio: string;
  readonly bundle: string;
}> {
  const over = { code: 'link-over', path: [] } as const;
  const id = unsealed('program', address);
  const pass = id === null ? null : findPass(context.db, id, context.now());
  if (pass?.kind !== 'program' || pass.programId === null) return fail(over);
  // It reads this one program, and nothing is given out but what it holds.
  const me = asTeacher(context, findOwner(context.db, pass.studioId));
  if (!me.ok) return fail(over);
  const program = getProgram(me.value, pass.programId);
  const bundle = exportBundleOf(me.value, pass.programId);
  if (!program.ok || !bundle.ok) return fail(over);
  return ok({
    program: { ...program.value, given: [], stale: {} },
    speech: getSpeech(me.value),
    studio: me.value.store.studio().name,
    bundle: bundle.value,
  });
}
