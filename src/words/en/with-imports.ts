import { en } from '.';
import { imports } from './imports';

/** English with what is said of files that come in, which no first view loads. */
export const enWithImports = { ...en, imports } as const;
