/** Before the first request: settings that cannot be used end the start. Then, in the pauses between requests, the
 * rosters are worked out ahead of the first visit and backups are made when they are due. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { readSettings } = await import('@/server/settings');
  readSettings(process.env);
  if (process.env.NODE_ENV !== 'production') return;
  const { standInLine } = await import('@/server/line');
  standInLine();
  const {
    backUpWhenDue,
    forgetOld,
    knowAddresses,
    liveContext,
    lookThrough,
    nowWarm,
    setupCode,
    setupNow,
    warmRosters,
  } = await import('@/server');
  const { logger } = await import('@/server/logger');
  const failed = (what: string) => (error: unknown) => logger().error({ err: error }, what);
  try {
    knowAddresses(liveContext());
    // Said where only whoever runs Mivvel reads it.
    if (setupNow(liveContext())) console.log(`Set up Mivvel at /setup?code=${setupCode()}`);
  } catch (error) {
    // Each page says what is wrong with the file; the server has to be there for it.
    failed('The studio file could not be opened.')(error);
  }
  const routes = after(ROUTES_FIRST_MS)
    .then(warmRoutes)
    .catch(() => null);
  const rosters = after(FIRST_MS)
    .then(() => warmRosters(liveContext(), () => after(PAUSE_MS)))
    .catch(failed('The rosters could not be worked out ahead.'));
  void Promise.all([routes, rosters]).then(nowWarm);
  setTimeout(() => {
    lookThrough()
      .then((issue) => issue && logger().error({ issues: [issue] }, 'The studio file is damaged.'))
      .catch(failed('The studio file could not be looked through.'));
  }, LOOK_THROUGH_MS);
  const safe = () => {
    try {
      forgetOld(liveContext());
    } catch (error) {
      failed('What is over could not be forgotten.')(error);
    }
    backUpWhenDue(Date.now)
      .then((made) => {
        if (made?.ok) logger().info({ bytes: made.value.bytes }, 'A backup was made.');
        else if (made) logger().error({ issues: made.issues }, 'No backup could be made.');
      })
      .catch(failed('No backup could be made.'));
  };
  setTimeout(safe, BACKUP_FIRST_MS);
  setInterval(safe, BACKUP_LOOK_MS).unref();
}

function after(ms: number): Promise<void> {
  return new Promise((go) => setTimeout(go, ms));
}

/** What a student at the stand needs first is loaded before they ask: as nobody, so that nothing comes of it. */
async function warmRoutes(): Promise<void> {
  const own = `http://127.0.0.1:${process.env.PORT ?? '3000'}`;
  const headers = { origin: own, 'content-type': 'application/json' };
  await fetch(`${own}/api/log`, { method: 'POST', headers, body: '{"entries":[]}' });
  for (const path of ['/', '/today', '/stand']) await fetch(own + path, { redirect: 'manual' });
}

/** The port listens by then. */
const ROUTES_FIRST_MS = 50;

/** A start answers its first requests before this begins, and each student leaves room for others. */
const FIRST_MS = 1000;
const PAUSE_MS = 5;

/** The whole file is looked through when the first visitors are through. */
const LOOK_THROUGH_MS = 10_000;

/** The first look whether a backup is due, and what is over, comes when the first visitors are through, the next ones every quarter of an hour. */
const BACKUP_FIRST_MS = 20_000;
const BACKUP_LOOK_MS = 900_000;

/** Whether nobody waits for an answer any more: the browser went elsewhere. */
function wentAway(error: unknown): boolean {
  return error instanceof Error && (error.message === 'aborted' || error.name === 'AbortError');
}

/** What a page or a route threw goes to the log, without what was sent. */
export async function onRequestError(
  error: unknown,
  request: { readonly path: string; readonly method: string },
): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || wentAway(error)) return;
  const { logger } = await import('@/server/logger');
  const { isUnread } = await import('@/server/reached');
  if (request.method === 'POST' && isUnread() && !request.path.startsWith('/api/')) {
    logger().info({ path: request.path.split('?')[0] }, 'A request could not be read.');
    return;
  }
  logger().error(
    { err: error, method: request.method, path: request.path.split('?')[0] },
    'A request failed.',
  );
}
