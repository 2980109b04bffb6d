export { fail, isRefusal, must, ok, unreachable } from './issue';
export { sayCount, sayShape } from './say';
export { issueText } from './text';
export type { Issue, Path, Result } from './issue';
