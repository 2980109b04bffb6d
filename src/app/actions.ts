'use server';

import { redirect } from 'next/navigation';
import * as z from 'zod/mini';
import { text } from '@/core/shape';
import type { Issue, Result } from '@/core/issue';
import { ACCESS, idSchema, speechSchema, type Role } from '@/core/studio';
import {
  acceptInvitation,
  claimStudio,
  enterByCode,
  enterByLink,
  enterByPin,
  enterDemo,
  forgotPassword,
  liveContext,
  maySetUp,
  openFirst,
  resetPassword,
  setSpeech,
  signInWith,
  type Browser,
  type Context,
  type Entered,
} from '@/server';
import { readForm, teacherAction, tried } from './act';
import { sayNow } from './language';
import { typedName } from './shapes';
import { browserNow, forgetSignedIn, homeOf, keepSignedIn, originNow, tabletToken } from './viewer';

type Issues = readonly Issue[];

/** Lets whoever may come in, with what they typed; what is wrong with it comes back. */
async function letIn<Fields>(
  form: FormData,
  shape: z.ZodMiniType<Fields>,
  enter: (
    context: Context,
    typed: Fields,
    browser: Browser,
  ) => Promise<Result<Entered>> | Result<Entered>,
  home: (role: Role) => string = homeOf,
): Promise<Issues> {
  const typed = readForm(form, shape);
  if (!typed.ok) return typed.issues;
  const browser = await browserNow();
  const entered = await tried(() => enter(liveContext(), typed.value, browser));
  if (!entered.ok) return entered.issues;
  await keepSignedIn(entered.value.token);
  redirect(home(entered.value.role));
}

const secret = text(200);
const person = z.object({ person: idSchema<'person'>() });

/** Anybody of a studio to look around in, from the start page. */
export async function enter(form: FormData): Promise<void> {
  const issues = await letIn(form, person, (context, { person: id }, browser) =>
    enterDemo(context, id, browser),
  );
  // The list of people has no place for words; the page of what broke says what is wrong with the file.
  if (issues.some(({ code }) => code === 'storage')) throw new Error('nobody could be let in');
  redirect('/');
}

const credentials = { email: secret, password: secret };

export async function signIn(_before: Issues, form: FormData): Promise<Issues> {
  return letIn(form, z.object(credentials), signInWith);
}

export async function enterWithCode(_before: Issues, form: FormData): Promise<Issues> {
  return letIn(form, z.object({ studio: typedName, code: secret }), enterByCode);
}

export async function enterWithLink(_before: Issues, form: FormData): Promise<Issues> {
  return letIn(form, z.object({ address: secret }), (context, { address }, browser) =>
    enterByLink(context, address, browser),
  );
}

export async function enterWithPin(_before: Issues, form: FormData): Promise<Issues> {
  const shape = z.object({ person: idSchema<'person'>(), pin: secret });
  return letIn(form, shape, async (context, typed, browser) =>
    enterByPin(context, (await tabletToken()) ?? '', typed, browser),
  );
}

const zone = text(80);

/** The first studio of this Mivvel, with the code that stands where it runs. */
export async function openMine(_before: Issues, form: FormData): Promise<Issues> {
  const shape = z.object({
    ...credentials,
    ...{ code: secret, studio: typedName, teacher: typedName, zone },
  });
  return letIn(form, shape, openFirst, () => '/students');
}

/** A studio of before there were accounts. */
export async function claim(_before: Issues, form: FormData): Promise<Issues> {
  return letIn(form, z.object({ ...credentials, code: secret, studio: secret }), claimStudio);
}

/** Looks whether the code is the one that stands where Mivvel runs, and goes on with it. */
export async function readSetup(_before: Issues, form: FormData): Promise<Issues> {
  const typed = readForm(form, z.object({ code: secret }));
  if (!typed.ok) return typed.issues;
  const browser = await browserNow();
  const may = await tried(() => maySetUp(typed.value.code, browser));
  if (!may.ok) return may.issues;
  redirect(`/setup?code=${encodeURIComponent(typed.value.code)}`);
}

export async function accept(_before: Issues, form: FormData): Promise<Issues> {
  const shape = z.object({ address: secret, name: typedName, password: secret });
  return letIn(form, shape, acceptInvitation);
}

/** `sent` once whatever there was to send is on its way. */
interface Asked {
  readonly issues: Issues;
  readonly sent: boolean;
}

export async function forgot(_before: Asked, form: FormData): Promise<Asked> {
  const typed = readForm(form, z.object({ email: secret }));
  if (!typed.ok) return { issues: typed.issues, sent: false };
  const [browser, origin, say] = await Promise.all([browserNow(), originNow(), sayNow()]);
  const words = (link: string) => ({
    subject: say.t('letter.reset.subject'),
    text: say.t('letter.reset.text', { link, hours: ACCESS.resetHours }),
  });
  const asked = await tried(() =>
    forgotPassword(liveContext(), typed.value.email, { origin, words }, browser),
  );
  return asked.ok ? { issues: [], sent: true } : { issues: asked.issues, sent: false };
}

export async function reset(_before: Issues, form: FormData): Promise<Issues> {
  const typed = readForm(form, z.object({ token: secret, password: secret }));
  if (!typed.ok) return typed.issues;
  const done = await tried(() => resetPassword(liveContext(), typed.value));
  if (!done.ok) return done.issues;
  redirect('/?doors=set');
}

export async function leave(): Promise<void> {
  await forgetSignedIn();
  redirect('/');
}

/** How the studio names note values and counts. */
export const setStudioSpeech = teacherAction([speechSchema], setSpeech, { changes: true });
