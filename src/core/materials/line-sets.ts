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
const SIXTEENTHS = ['4', '8 8', '8 16 16', '16 16 8', '16 8 16', '8. 16', '16 16 16 16'];
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

/** What the shipped lines are made of, from easy to hard; each grade brings one new thing. */
export const LINE_SETS: readonly LineSet[] = [
  set('long', 'long notes', 'halves and quarters', 12, 9, ['4', '2', '4', '2.', '4r 4']),
  set('eighths', '8ths', 'quarters and 8ths', 16, 11, ['4', '8 8', '4', '2', '8 8']),
  set('quarter-rests', '8ths and quarters with rests', 'rests', 12, 8, ['4', '8 8', '4r', '8 8']),
  set('rests', '8ths with rests', 'rests', 18, 12, RESTS),
  set('dotted', 'dotted', 'dotted notes', 15, 13, ['4.', '8', '4', '4. 8', '8 4.', '2.', '8 8']),
  set('ties', '8ths with ties', 'ties', 12, 14, ['8 8~8 8', '4~8 8', '8 8', '4', '8r 4 8']),
  set('sixteenths', '16ths', '16ths', 14, 15, SIXTEENTHS),
  set('sixteenth-ties', '16ths with ties and rests', '16ths', 12, 24, [
    ...SIXTEENTHS,
    '16r 8.',
    '8. 16~8 8',
    '8 16 16~8 8',
  ]),
  set('triplets', 'triplets', 'triplets', 12, 16, TRIPLETS),
  set('over-bar', 'over the bar', 'ties over the bar line', 12, 17, [...EIGHTHS, '8r 8'], {
    bars: 2,
    overBar: 1,
  }),
  set('quarter-triplets', 'quarter triplets', 'triplets', 8, 25, [
    '4',
    '8 8',
    '3(4 4 4)',
    '3(4 4 4)',
    '2',
    '3(2 4)',
  ]),
  set('sextuplets', 'sextuplets', 'sextuplets', 8, 26, [
    '4',
    '8 8',
    '6(16 16 16 16 16 16)',
    '3(8 8 8)',
    '6(16 16 8 8)',
  ]),
  set('fives', 'fives', 'fives', 6, 27, ['4', '8 8', '5(16 16 16 16 16)', '5(8 8 16)']),
  set(
    'phrases',
    'question and answer',
    'phrases of two and four bars',
    10,
    28,
    ['4', '8 8', '4. 8', '2'],
    {
      bars: 2,
    },
  ),
  set('two-four', '2/4', 'other meters', 6, 18, [...EIGHTHS, '8 16 16'], { meter: '2/4' }),
  set('three-four', '3/4', 'other meters', 8, 19, [...EIGHTHS, '8r 8'], { meter: '3/4' }),
  set('two-two', '2/2', 'other meters', 12, 29, ['2', '4 4', '4 8 8', '8 8 4', '4r 4'], {
    meter: '2/2',
  }),
  set('five-four', '5/4', 'other meters', 8, 20, EIGHTHS, { meter: '5/4' }),
  set('six-eight', '6/8', 'other meters', 12, 21, ['4.', '4 8', '8 8 8', '8 4', '8r 8 8'], {
    meter: '6/8',
  }),
  set('nine-eight', '9/8', 'other meters', 12, 30, ['4.', '4 8', '8 8 8', '8 4', '8r 8 8'], {
    meter: '9/8',
  }),
  set('seven-eight', '7/8', 'other meters', 12, 22, ['4', '8 8', '4.', '8 8 8', '8 4'], {
    meter: '7/8',
  }),
  set('twelve-eight', '12/8', 'other meters', 12, 23, ['4.', '4 8', '8 8 8', '8r 4'], {
    meter: '12/8',
  }),
];
