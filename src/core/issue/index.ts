export { fail, isRefusal, must, ok, unreachable } from './issue';
export { misfitsOf } from './misfits';
export { sayCount } from './say';
export type { Issue, Misfit, Path, Result, Thing } from './issue';
