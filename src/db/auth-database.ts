import { drizzleAdapter } from '@better-auth/drizzle-adapter';
import { connectionOf, type Db } from './connection';
import { account, login, proof } from './schema';

/** What keeps accounts, their passwords and what proves who may set one anew, for better-auth. It knows no sign-ins. */
export function authDatabase(db: Db): ReturnType<typeof drizzleAdapter> {
  return drizzleAdapter(connectionOf(db), {
    provider: 'sqlite',
    schema: { user: account, account: login, verification: proof },
  });
}
