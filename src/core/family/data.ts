/** Format of the families that this Mivvel writes. */
export const FAMILY_VERSION = 2;

/** Most members whose decisions are kept one by one. */
export const MOST_DECIDED = 2000;

/** How far a number runs that is given several values. */
export const RUNNING = { least: -64, most: 64 } as const;

/** Slots that notes are placed in. */
export const PLACED_SLOTS = { least: 1, most: 64 } as const;
