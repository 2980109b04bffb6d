import { AsyncLocalStorage } from 'node:async_hooks';
import { fail, ok, type Result } from '@/core/issue';
import { ACCESS } from '@/core/studio';
import { authDatabase, type Db } from '@/db';
import { keyed } from './secret';

type SendReset = (email: string, token: string) => void;

const asking = new AsyncLocalStorage<SendReset>();

async function make(db: Db) {
  const { betterAuth } = await import('better-auth/minimal');
  return betterAuth({
    baseURL: 'http://mivvel.invalid',
    secret: keyed('better-auth', ''),
    database: authDatabase(db),
    // Its table of sessions is not there: they are ours.
    advanced: { database: { validateSchema: false } },
    telemetry: { enabled: false },
    logger: { disabled: true },
    rateLimit: { enabled: false },
    verification: { storeIdentifier: 'hashed' },
    emailAndPassword: {
      enabled: true,
      disableSignUp: true,
      minPasswordLength: ACCESS.password.least,
      maxPasswordLength: ACCESS.password.most,
      resetPasswordTokenExpiresIn: ACCESS.resetHours * 3600,
      sendResetPassword: ({ user, token }) => {
        asking.getStore()?.(user.email, token);
        return Promise.resolve();
      },
    },
  });
}

const made = new WeakMap<Db, ReturnType<typeof make>>();

/** Accounts and their passwords are better-auth's; who is signed in where is ours (`sign-ins.ts`): most of them come in
 * without a password. It is loaded when somebody first types one. */
function authOf(db: Db): ReturnType<typeof make> {
  let auth = made.get(db);
  if (!auth) made.set(db, (auth = make(db)));
  return auth;
}

/** @returns the scrypt hash that is kept of a password */
export async function hashed(db: Db, password: string): Promise<string> {
  const { password: hashing } = await (await authOf(db)).$context;
  return hashing.hash(password);
}

/** The account that an address and a password open; null where they do not. It takes as long where there is no such
 * address. */
export async function accountWith(db: Db, email: string, password: string): Promise<string | null> {
  const { internalAdapter, password: hashing } = await (await authOf(db)).$context;
  const found = await internalAdapter.findUserByEmail(email, { includeAccounts: true });
  const hash = found?.accounts.find((one) => one.providerId === 'credential')?.password;
  if (!found || !hash) {
    await hashing.hash(password);
    return null;
  }
  return (await hashing.verify({ hash, password })) ? found.user.id : null;
}

/** @param send gets a token for the address, where an account has it */
export async function askReset(db: Db, email: string, send: SendReset): Promise<void> {
  const auth = await authOf(db);
  await asking.run(send, () => auth.api.requestPasswordReset({ body: { email } }));
}

/** Sets a password anew, once for each token.
 * @returns the account; issue `link-over` for a token that is wrong, used or too old */
export async function resetWith(db: Db, token: string, password: string): Promise<Result<string>> {
  const auth = await authOf(db);
  const { internalAdapter } = await auth.$context;
  const proof = await internalAdapter.findVerificationValue(`reset-password:${token}`);
  if (!proof) return fail({ code: 'link-over', path: [] });
  try {
    await auth.api.resetPassword({ body: { newPassword: password, token } });
  } catch (error) {
    if ((error as { body?: { code?: string } }).body?.code !== 'INVALID_TOKEN') throw error;
    return fail({ code: 'link-over', path: [] });
  }
  return ok(proof.value);
}

/** Sets the password of an account that is there. */
export async function setPassword(db: Db, accountId: string, password: string): Promise<void> {
  const { internalAdapter, password: hashing } = await (await authOf(db)).$context;
  await internalAdapter.updatePassword(accountId, await hashing.hash(password));
}

let common: Promise<ReadonlySet<string>> | undefined;

async function commonPasswords(): Promise<ReadonlySet<string>> {
  const { dictionary } = await import('@zxcvbn-ts/language-common');
  return new Set(dictionary['passwords-common'].map(String));
}

/** A password that is long enough and not among those that are tried first.
 * @returns issues `password-length`, `password-common` */
export async function readPassword(typed: string): Promise<Result<string>> {
  const { least, most } = ACCESS.password;
  if (typed.length < least || typed.length > most) {
    return fail({ code: 'password-length', path: ['password'], least, most });
  }
  const known = await (common ??= commonPasswords());
  const letters = typed.toLowerCase();
  if (known.has(letters) || known.has(letters.replace(/[\d!?.]+$/, ''))) {
    return fail({ code: 'password-common', path: ['password'] });
  }
  return ok(typed);
}
