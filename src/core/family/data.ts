/** Format of the families that this Mivvel writes. */
export const FAMILY_VERSION = 2;
