import { must } from '@/core/issue';
import { asOwner, openFirst, setupCode, signInAs, viewerOf, whoIs, type Owner } from '..';
import { testContext, type TestContext } from '../studio.fixture';
import type { SignedIn } from '@/db';
import type { PersonId } from '@/core/studio';

/** Counts browsers, so that no test waits for what another one tried. */
let browsers = 0;

/** A browser at an address of its own. */
export function browser(agent = 'Firefox/140 (X11; Linux)') {
  browsers += 1;
  return { agent, address: `10.0.${Math.floor(browsers / 250)}.${browsers % 250}` };
}

export const ADA = { email: 'ada@mole-end.example', password: 'four plain words here' };

/** A studio whose owner has an account. */
export async function ownedStudio(): Promise<{
  readonly context: TestContext;
  readonly owner: Owner;
  readonly signedIn: SignedIn;
}> {
  const context = testContext();
  const typed = { ...ADA, code: setupCode(), studio: 'Mole End', teacher: 'Ada', zone: 'UTC' };
  const { token } = must(await openFirst(context, typed, browser()));
  const signedIn = whoIs(context, token);
  if (!signedIn) throw new Error('nobody is in');
  return { context, owner: must(asOwner(context, signedIn)), signedIn };
}

/** Signs a person in, and says who they are. */
export function signedInAs(context: TestContext, id: PersonId): SignedIn {
  const viewer = viewerOf(context, id);
  const found = viewer && whoIs(context, signInAs(context, viewer, browser()));
  if (!found) throw new Error('nobody is in');
  return found;
}

export const WORDS = {
  origin: 'http://localhost:3000',
  words: (link: string) => ({ subject: 'Mivvel', text: `Open ${link}` }),
};
