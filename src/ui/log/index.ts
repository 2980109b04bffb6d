export { LogMark, LogRefresh } from './log-mark';
export { LogProvider, useQueue, useSender } from './use-log';
export type { Learnt } from './sender';
