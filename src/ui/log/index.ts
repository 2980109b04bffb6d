export { JudgeLater } from './judge-later';
export { LogMark, LogRefresh } from './log-mark';
export { LogProvider, useSender } from './use-log';
export type { Learnt } from './sender';
