/** A set of shipped lines: what its figures are, and where chance began. The lines that were kept
 * of each stand in `data-lines.ts`. */
export interface LineSet {
  readonly id: string;
  readonly name: string;
  readonly trains: string;
  readonly meter: string;
  readonly bars: number;
  readonly figures: readonly string[];
  readonly overBar: number;
  readonly seed: number;
  readonly count: number;
}

const EIGHTHS = ['4', '8 8', '4', '2', '4. 8', '8 4 8'];
const RESTS = ['8r 8', '4', '8 8r', '8r 4 8', '8 8', '4r', '4. 8', '8r 4.'];
const SIXTEENTHS = ['4', '8 8', '8 16 16', '16 16 8', '16 8 16', '8. 16', '16 16 16 16', '16r 8.'];
const TRIPLETS = ['4', '3(8 8 8)', '3(8 8 8)', '3(8r 8 8)', '8 8', '3(4 8)', '3(8 4)', '4r'];

function set(
  id: string,
  name: string,
  trains: string,
  count: number,
  seed: number,
  figures: readonly string[],
  more: Partial<LineSet> = {},
): LineSet {
  return { id, name, trains, meter: '4/4', bars: 1, overBar: 0, figures, seed, count, ...more };
}

/** What the shipped lines are made of, from easy to hard. */
export const LINE_SETS: readonly LineSet[] = [
  set('eighths', '8ths', 'quarters and 8ths', 14, 11, EIGHTHS),
  set('rests', '8ths with rests', 'rests', 18, 12, RESTS),
  set('dotted', 'dotted', 'dotted notes', 10, 13, ['4.', '8', '4', '4. 8', '8 4.', '2.', '8 8']),
  set('ties', '8ths with ties', 'ties', 12, 14, [
    '8 8~8 8',
    '4~8 8',
    '8 4~4.',
    '8 8',
    '4',
    '8r 4 8',
  ]),
  set('sixteenths', '16ths', '16ths', 20, 15, SIXTEENTHS),
  set('triplets', 'triplets', 'triplets', 12, 16, TRIPLETS),
  set('over-bar', 'over the bar', 'ties over the bar line', 12, 17, [...EIGHTHS, '8r 8'], {
    bars: 2,
    overBar: 1,
  }),
  set('two-four', '2/4', 'other meters', 4, 18, [...EIGHTHS, '8 16 16'], { meter: '2/4' }),
  set('three-four', '3/4', 'other meters', 6, 19, [...EIGHTHS, '8r 8'], { meter: '3/4' }),
  set('five-four', '5/4', 'other meters', 4, 20, EIGHTHS, { meter: '5/4' }),
  set('six-eight', '6/8', 'other meters', 4, 21, ['4.', '4 8', '8 8 8', '8 4', '8r 8 8'], {
    meter: '6/8',
  }),
  set('seven-eight', '7/8', 'other meters', 2, 22, ['4', '8 8', '4.', '8 8 8', '8 4'], {
    meter: '7/8',
  }),
  set('twelve-eight', '12/8', 'other meters', 2, 23, ['4.', '4 8', '8 8 8', '8r 4'], {
    meter: '12/8',
  }),
];
