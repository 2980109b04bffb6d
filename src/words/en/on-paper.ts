import { en } from '.';
import { sheet } from './sheet';

/** English with what stands on paper alone, which no screen loads. */
export const enOnPaper = { ...en, sheet } as const;
