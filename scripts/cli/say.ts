import { sayAtCommandLineIn, type Say } from '@/words';

/** As a new studio speaks; what is of a studio is said as it names and counts. */
export const SAY: Say = sayAtCommandLineIn('en-GB');
