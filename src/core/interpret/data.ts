import type { CellSet } from './phrase-cells-schema';

/** The usual phrase cells by gap in 16ths; common practice, no source. Seven and nine have no
 * usual cell: the teacher chooses one. */
export const USUAL_CELLS: CellSet = {
  name: 'usual cells',
  cells: {
    1: 'R',
    2: 'RL',
    3: 'RLL',
    4: 'RLLK',
    5: 'RLLKK',
    6: 'RLLKKL',
    8: 'RLLKKLKL',
    10: 'RLLKKLKLLK',
  },
};
