export { fail, isRefusal, must, ok, unreachable } from './issue';
export { misfitsOf } from './misfits';
export type { AxisName, Issue, Misfit, Path, Result, StorageTrouble, Thing } from './issue';
