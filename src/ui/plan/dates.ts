/** Date fields take years of four figures. */
export const LAST_DATE = '9999-12-31';
