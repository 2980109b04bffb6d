/** After a start the rosters are worked out ahead of the first visit, in the pauses between requests. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || process.env.NODE_ENV !== 'production') return;
  const { knowAddresses, liveContext, warmRosters } = await import('@/server');
  knowAddresses(liveContext());
  setTimeout(() => {
    warmRosters(liveContext(), () => new Promise((go) => setTimeout(go, PAUSE_MS))).catch(
      (error: unknown) => console.error('The rosters could not be worked out ahead.', error),
    );
  }, FIRST_MS);
}

/** A start answers its first requests before this begins, and each student leaves room for others. */
const FIRST_MS = 1000;
const PAUSE_MS = 5;
