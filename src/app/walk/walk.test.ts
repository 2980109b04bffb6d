import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { fail, ok, type Issue, type Result } from '@/core/issue';
import { closeDb, openDb } from '@/db';
import * as server from '@/server';
import { DOORS, OPEN_DOORS, type Knock } from './doors';
import { NO_USE_CASES, USE_CASES, type Call } from './use-cases';
import { idsOf, makeWorld, rowsOf, VIEWERS, type ViewerName, type World } from './world.fixture';

/** Walks every use case, action and route with every kind of viewer: whoever may gets through, whoever may
 * not is refused, learns nothing and changes nothing. */
class Redirected extends Error {}

const cookie = vi.hoisted(() => ({ session: undefined as string | undefined }));

vi.mock('next/headers', () => ({
  cookies: () =>
    Promise.resolve({
      get: (name: string) =>
        name === 'mivvel-session' && cookie.session ? { value: cookie.session } : undefined,
      set: () => {},
      delete: () => {},
    }),
  headers: () => Promise.resolve(new Headers({ host: 'localhost' })),
}));
vi.mock('next/server', async (original) => ({
  ...(await original<object>()),
  connection: () => Promise.resolve(),
}));
vi.mock('next/cache', () => ({ revalidatePath: () => {} }));
vi.mock('next/navigation', () => ({
  redirect: (to: string) => {
    throw new Redirected(to);
  },
  notFound: () => {
    throw new Error('not found');
  },
}));

type Module = Readonly<Record<string, (...values: unknown[]) => unknown>>;

const FILES = import.meta.glob<Module>(
  ['../**/actions.ts', '../**/plans.ts', '../**/find.ts', '../api/**/route.ts'],
  { eager: true },
);

/** Every exported action and route, by the folder or file and its name. */
const FOUND = new Map<string, Module[string]>(
  Object.entries(FILES).flatMap(([path, module]) => {
    const parts = path
      .replace(/\.ts$/, '')
      .split('/')
      .filter((one) => !/^\(|^\.\./.test(one));
    const place = ['actions', 'route'].includes(parts.at(-1) ?? '') ? parts.at(-2) : parts.at(-1);
    return Object.entries(module).map(
      ([name, door]) => [`${place ?? 'actions'} ${name}`, door] as const,
    );
  }),
);

/** What an action, form or route answers, as a result. */
async function answerOf(call: () => unknown): Promise<Result<unknown>> {
  try {
    const answer = await call();
    if (answer instanceof Response) {
      if (answer.headers.get('content-type') === 'application/x-ndjson') return linesOf(answer);
      const body = (await answer.json()) as Result<{
        answers?: { result: Result<unknown> }[];
      } | null>;
      const first = body.ok ? body.value?.answers?.[0]?.result : body;
      return first ?? body;
    }
    const said = answer as
      | Result<unknown>
      | readonly Issue[]
      | { readonly issues: readonly Issue[] };
    if ('ok' in said) return said;
    const issues = 'issues' in said ? said.issues : said;
    return issues.length > 0 ? fail(...issues) : ok(answer);
  } catch (error) {
    if (error instanceof Redirected) return ok(error.message);
    throw error;
  }
}

/** What came line by line; issues in any of them are the answer. */
async function linesOf(answer: Response): Promise<Result<unknown>> {
  const lines = (await answer.text()).trimEnd().split('\n');
  const read = lines.map((line) => JSON.parse(line) as { issues?: readonly Issue[] });
  const issues = read.flatMap((line) => line.issues ?? []);
  return issues.length > 0 ? fail(...issues) : ok(read);
}

/** `nobody-has-it`: none of those whom a teacher teaches. */
const REFUSED = ['not-yours', 'not-found', 'nobody-has-it'];

/** Lets somebody try, and looks at what came of it. */
async function attempt(
  world: World,
  who: ViewerName,
  { may, own = false }: Pick<Call | Knock, 'may' | 'own'>,
  call: () => unknown,
): Promise<void> {
  const before = rowsOf(world);
  const secrets = idsOf(world);
  const answer = await answerOf(call);
  const fine = may.includes(who);
  expect({ who, ok: answer.ok, issues: answer.ok ? [] : answer.issues }).toMatchObject({
    ok: fine,
  });
  if (!answer.ok) {
    for (const { code } of answer.issues) expect(REFUSED).toContain(code);
  }
  if (who === 'owner' || who === 'teacher') return;
  const told = JSON.stringify(answer);
  // Of students whom somebody does not teach, they learn nothing.
  if (who === 'colleague') {
    const known = [world.id, world.fellow, world.assignment, world.tryId, 'Ines', 'Omar'];
    expect(known.filter((one) => told.includes(one))).toEqual([]);
  }
  if (fine && !own) return;
  if (who === 'stranger' || who === 'nobody') {
    expect(secrets.filter((id) => told.includes(id))).toEqual([]);
  }
  if (!fine || who === 'stranger') expect(rowsOf(world)).toBe(before);
}

/** All who may not try the same studio one after the other, which stays as it was; whoever may has one of
 * their own. */
async function byAll(
  tried: Pick<Call | Knock, 'may' | 'own'>,
  call: (world: World, who: ViewerName) => unknown,
): Promise<void> {
  const untouched = makeWorld();
  for (const who of VIEWERS) {
    const world = tried.may.includes(who) ? makeWorld() : untouched;
    await attempt(world, who, tried, () => call(world, who));
  }
}

let folder = '';

beforeAll(() => {
  // What is copied and looked at on the disk.
  folder = mkdtempSync(join(tmpdir(), 'mivvel-walk-'));
  vi.stubEnv('MIVVEL_DATA', folder);
  closeDb(openDb(join(folder, 'mivvel.sqlite')));
});

afterAll(() => {
  vi.unstubAllEnvs();
  rmSync(folder, { recursive: true, force: true });
});

beforeEach(() => {
  cookie.session = undefined;
});

describe('every use case', () => {
  it('is in the walk', () => {
    const known = [...Object.keys(USE_CASES), ...NO_USE_CASES].sort();
    expect(Object.keys(server).sort()).toEqual(known);
  });

  const calls = Object.entries(USE_CASES).flatMap(([name, all]) =>
    all.map((call, index) => ({ name: `${name} ${index + 1}`, call })),
  );
  it.each(calls)('$name, by everybody', async ({ call }) => {
    await byAll(call, (world, who) => call.run(world, world.viewers[who]));
  });
});

/** Sends something through a door as somebody. */
function knock(world: World, who: ViewerName, name: string, values: readonly unknown[]): unknown {
  const door = FOUND.get(name);
  if (!door) throw new Error(name);
  (globalThis as { mivvelDb?: unknown }).mivvelDb = world.context.db;
  cookie.session = world.tokens.get(who);
  if (!name.endsWith('POST')) return door(...values);
  return door(
    new Request('http://localhost/api', { method: 'POST', body: JSON.stringify(values[0]) }),
  );
}

describe('every action and route', () => {
  it('is in the walk', () => {
    expect([...FOUND.keys()].sort()).toEqual([...Object.keys(DOORS), ...OPEN_DOORS].sort());
  });

  const knocks = Object.entries(DOORS).flatMap(([name, all]) =>
    all.map((one, index) => ({ title: `${name} ${index + 1}`, name, one })),
  );
  it.each(knocks)('$title, by everybody', async ({ name, one }) => {
    await byAll(one, (world, who) => knock(world, who, name, one.send(world)));
  });

  const LONG = 'x'.repeat(200_000);
  const JUNK: readonly (readonly unknown[])[] = [
    [LONG, LONG, LONG],
    [null, null, null],
    [{ id: 7, name: LONG, entries: LONG }, [{}], { kind: 'none' }],
    [],
  ];
  it.each(
    Object.keys(DOORS).filter(
      (name) => !/findTargets|exportAll|rosterOf|backUp|endElsewhere/.test(name),
    ),
  )('%s answers what has no shape with an issue, and changes nothing', async (name) => {
    const world = makeWorld();
    const before = rowsOf(world);
    const who = DOORS[name]?.[0]?.may.includes('owner') ? 'owner' : 'student';
    for (const values of JUNK) {
      const sent = isForm(name) ? [[], longForm()] : values;
      const answer = await answerOf(() => knock(world, who, name, sent));
      expect(answer).toMatchObject({ ok: false });
    }
    expect(rowsOf(world)).toBe(before);
  });

  function isForm(name: string): boolean {
    return DOORS[name]?.[0]?.send(makeWorld())[1] instanceof FormData;
  }

  function longForm(): FormData {
    const form = new FormData();
    for (const field of ['name', 'about', 'from']) form.set(field, LONG);
    return form;
  }
});
