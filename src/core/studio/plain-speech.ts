import type { Speech } from '../time';

/** How a studio speaks until it says otherwise; apart from the schema, which screens need not load. */
export const PLAIN_SPEECH: Speech = { notes: 'american', syllables: 'english' };
