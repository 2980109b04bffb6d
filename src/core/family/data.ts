/** Format of the families that this Mivvel writes. */
export const FAMILY_VERSION = 2;

/** Most members whose decisions are kept one by one. */
export const MOST_DECIDED = 2000;
