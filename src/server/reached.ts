import { AsyncLocalStorage } from 'node:async_hooks';

/** How far a request got: whether it could be read and came to an action of ours. */
interface Reached {
  action: boolean;
}

const held = globalThis as { mivvelReached?: AsyncLocalStorage<Reached> };

/** Pages, routes and the line before them are put together apart; what a request carries along is the same in all. */
const carried = (held.mivvelReached ??= new AsyncLocalStorage<Reached>());

/** Runs what answers a request. @returns what it will have reached */
export function carrying(run: () => void): Reached {
  const reached: Reached = { action: false };
  carried.run(reached, run);
  return reached;
}

/** Notes that the request came to an action of ours. */
export function reachAction(): void {
  const reached = carried.getStore();
  if (reached) reached.action = true;
}

/** Whether what was sent could not even be read as a call. */
export function isUnread(): boolean {
  return carried.getStore()?.action === false;
}
