/** The format of bundles that is written now. */
export const BUNDLE_VERSION = 3;
