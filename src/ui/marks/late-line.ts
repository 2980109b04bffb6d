import { loadLate } from '../base';

/** How a line begins, in a list that opens over the page. */
export const LineStart = loadLate(() => import('./line-start').then((file) => file.LineStart));
