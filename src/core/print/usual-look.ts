import type { Look } from './look-schema';

/** How a sheet looks until somebody chooses. */
export const USUAL_LOOK: Look = {
  paper: 'a4',
  large: false,
  count: true,
  sticking: true,
  motions: false,
  ladder: true,
};
