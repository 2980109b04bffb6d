export { retypeComposite } from './composite';
export { retypeCount } from './count';
export { retypeLine } from './line';
export type { Retyped, Retyping } from './retyped';
export { formatLoop, parseLoop } from './loop';
