'use server';

import { redirect } from 'next/navigation';
import * as z from 'zod/mini';
import { text } from '@/core/shape';
import { ok, type Issue } from '@/core/issue';
import { ACCESS } from '@/core/studio';
import {
  changePassword,
  endInvitation,
  endTablet,
  inviteTeacher,
  handStudioOver,
  letTeacherGo,
  makeTablet,
  openAnother,
  renameMe,
  switchStudio,
} from '@/server';
import { ownAction, ownerAction, readForm, teacherAction } from '../../act';
import { sayNow } from '../../language';
import { ids, typedName } from '../../shapes';
import { forgetSignedIn, keepTablet, originNow } from '../../viewer';

const id = text(40);
const secret = text(200);

/** Changes the password of whoever is signed in. */
export const setPassword = ownAction(
  [z.object({ present: secret, password: secret })],
  ({ context, me, browser }, typed) => changePassword(context, me, typed, browser),
);

/** Whoever looks goes by another name. */
export const renameOwn = teacherAction([typedName], renameMe, { changes: true });

/** Goes to another studio of theirs. */
export const goToStudio = ownAction([ids.person], ({ context, me }, to) =>
  switchStudio(context, me, to),
);

/** Invites a teacher; the link comes back, to be handed over by hand too. */
export async function invite(email: unknown) {
  const [say, origin] = await Promise.all([sayNow(), originNow()]);
  const run = ownerAction(
    [secret],
    (me, to) => {
      const { name: studio } = me.store.studio();
      const words = (link: string) => ({
        subject: say.t('letter.invitation.subject', { studio }),
        text: say.t('letter.invitation.text', { studio, link, days: ACCESS.invitationDays }),
      });
      return inviteTeacher(me, to, { origin, words });
    },
    { changes: true },
  );
  return run(email);
}

export const takeInvitationBack = ownerAction([id], endInvitation, { changes: true });

/** A teacher leaves; another has their students. */
export const letGo = ownerAction([ids.person, ids.person], letTeacherGo, { changes: true });

/** Another teacher owns the studio. */
export const makeOwner = ownerAction([ids.person], handStudioOver, { changes: true });

export const tabletEnds = ownerAction([id], endTablet, { changes: true });

/** This browser becomes one of the studio's tablets, and the teacher is signed out on it. */
export async function tabletHere(name: unknown) {
  const made = await teacherAction([typedName], makeTablet)(name);
  if (!made.ok) return made;
  await keepTablet(made.value);
  await forgetSignedIn();
  return ok(null);
}

type Issues = readonly Issue[];

const studio = z.object({ studio: typedName, teacher: typedName, zone: text(80) });

/** Another studio of the owner's. */
export async function openOther(_before: Issues, form: FormData): Promise<Issues> {
  const typed = readForm(form, studio);
  if (!typed.ok) return typed.issues;
  const opened = await ownAction([], async ({ context, me }) => {
    const another = openAnother(context, me, typed.value);
    return another.ok ? switchStudio(context, me, another.value) : another;
  })();
  if (!opened.ok) return opened.issues;
  redirect('/students');
}
