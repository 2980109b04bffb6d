import { must } from '../issue';
import { FULL_KIT, type KitProfile } from '../kit';
import { gradeLine, parseLine } from '../reading';
import { parseMeter } from '../time';
import { LINE_TEXTS } from './data-lines';
import { LINE_SETS } from './line-sets';

export interface ShippedLine {
  readonly name: string;
  readonly meter: string;
  readonly text: string;
  readonly trains: string;
  /** From 1 to 6; see `gradeLine`. */
  readonly grade: number;
}

type FirstLine = Pick<ShippedLine, 'name' | 'meter' | 'text'>;

/** The first lines, the ones that examples are made of. */
const FIRST_LINES: Readonly<Record<string, FirstLine>> = {
  'line-1': { name: 'line 1', meter: '4/4', text: '4 4 4 4' },
  'line-2': { name: 'line 2', meter: '4/4', text: '4 8 8 4 4' },
  'line-3': { name: 'line 3', meter: '4/4', text: '4. 8 4 4' },
  'line-4': { name: 'line 4', meter: '4/4', text: '8 4 8 4 4' },
  'line-5': { name: 'line 5', meter: '4/4', text: '4. 4 8 4' },
  'line-6': { name: 'line 6', meter: '4/4', text: '8 4. 8 4.' },
  'line-7': { name: 'line 7', meter: '4/4', text: '8r 4 4 8 4' },
  'line-8': { name: 'line 8', meter: '4/4', text: '4. 4. 4' },
  'line-9': { name: 'line 9', meter: '4/4', text: '8r 4. 8r 4.' },
  'line-10': { name: 'line 10', meter: '4/4', text: '4 8r 8~4 8 8 | 8r 4 8~4 4' },
  'line-11': { name: 'line 11', meter: '4/4', text: '8. 16 4 8. 16 4' },
  'line-12': { name: 'line 12', meter: '4/4', text: '16 8 16 4 16 8 16 4' },
  'line-13': { name: 'line 13', meter: '4/4', text: '3(8 8 8) 4 3(8r 8 8) 4' },
  'line-14': { name: 'line 14', meter: '3/4', text: '4. 8 4' },
  'line-15': { name: 'line 15', meter: '6/8', text: '4 8 8 8 8' },
  'line-16': { name: 'line 16', meter: '7/8', text: '4 4 8 8 8' },
  'line-17': { name: 'line 17', meter: '5/4', text: '4. 8 4 8 8 4' },
};

function graded(line: FirstLine, trains: string): ShippedLine {
  const meter = must(parseMeter(line.meter));
  return { ...line, trains, grade: gradeLine(must(parseLine(line.text, meter))) };
}

/** Reading lines that ship, by id; version 1 of each; written for Mivvel, or made by its generator
 * and curated. */
export const SHIPPED_LINES: Readonly<Record<string, ShippedLine>> = Object.fromEntries([
  ...Object.entries(FIRST_LINES).map(([id, line]) => [id, graded(line, 'first lines')] as const),
  ...LINE_SETS.flatMap(({ id, name, meter, trains }) =>
    (LINE_TEXTS[id] ?? []).map(
      (text, index) =>
        [
          `${id}-${index + 1}`,
          graded({ name: `${name} ${index + 1}`, meter, text }, trains),
        ] as const,
    ),
  ),
]);

/** Kit set-ups that ship, by id; version 1 of each. */
export const SHIPPED_KITS: Readonly<Record<string, KitProfile>> = {
  'full-kit': FULL_KIT,
  'mirrored-kit': { ...FULL_KIT, name: 'mirrored kit', handedness: 'mirrored' },
  'open-handed': { ...FULL_KIT, name: 'full kit, open-handed', handedness: 'open-handed' },
  'left-lead': { ...FULL_KIT, name: 'full kit, left lead', handedness: 'left-lead' },
};
