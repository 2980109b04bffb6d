import { familyOf, type Axis, type Family } from '@/core/family';
import { must } from '@/core/issue';
import { findShipped, readOstinato } from '@/core/materials';
import { blankRecipe, startOf, type ClosedRecipe } from '@/core/recipe';
import { parseMeter } from '@/core/time';

type Ostinato = ClosedRecipe['over'][number];

function shipped(id: string): Ostinato {
  const content = findShipped('ostinato', id)?.content;
  if (!content) throw new Error(`no ostinato ${id}`);
  return { id, version: 1, content: { ...content, lanes: [...content.lanes] } };
}

function typed(text: string, name: string): Ostinato {
  const [first] = must(readOstinato(text, must(parseMeter('4/4'))));
  if (!first) throw new Error(`nothing reads ${text}`);
  const { meter, swung, lanes } = first;
  return { content: { name, meter, swung, lanes: [...lanes] } };
}

function lineOf(id: string): NonNullable<ClosedRecipe['play']> {
  const content = findShipped('line', id)?.content;
  if (!content) throw new Error(`no line ${id}`);
  return { id, version: 1, content: { ...content } };
}

function family(base: ClosedRecipe, axes: readonly Axis[], naming: string): Family {
  return { ...familyOf(base), axes, naming, written: false };
}

/** Five textures by three snares by three bass drums; and cells over the hats, displaced. */
export const FAMILIES: readonly { readonly name: string; readonly family: Family }[] = [
  {
    name: 'One-handed 16ths, 45 grooves',
    family: family(
      blankRecipe(),
      [
        {
          at: 'over',
          index: 0,
          values: ['', '-8ths', '-beats', '-upbeats', '-all'].map((end) =>
            shipped(`one-hand-16ths${end}`),
          ),
        },
        {
          at: 'over',
          index: 1,
          values: [
            typed('S: 2 4', 'snare on 2 and 4'),
            typed('S: 2 4a', 'snare on 2, a of 4'),
            typed('S: 2& 4', 'snare on & of 2, 4'),
          ],
        },
        {
          at: 'over',
          index: 2,
          values: [
            typed('K: 1 3', 'bass drum on 1 and 3'),
            typed('K: 1 1a 3', 'bass drum on 1, a, 3'),
            typed('K: 1 2& 3', 'bass drum on 1, & of 2, 3'),
          ],
        },
      ],
      'Groove {n}',
    ),
  },
  {
    name: 'Cells, every displacement',
    family: family(
      { ...blankRecipe(), over: [shipped('hats-2-4')], as: startOf('phrase-cells') },
      [
        { at: 'play', values: ['line-5', 'line-7', 'line-8'].map(lineOf) },
        {
          at: 'change',
          index: 0,
          values: [
            {
              kind: 'numbers',
              change: { kind: 'displace', what: 'pattern', part: 'line', by: 1, slot: '16' },
              field: 'by',
              from: 0,
              to: 15,
            },
          ],
        },
      ],
      '',
    ),
  },
];
