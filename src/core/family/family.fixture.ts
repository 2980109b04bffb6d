import { must } from '../issue';
import { findShipped, readOstinato } from '../materials';
import { blankRecipe, type Change, type ClosedRecipe } from '../recipe';
import { parseMeter } from '../time';
import { familyOf, openFamily, type Axis, type Family, type OpenedFamily } from '.';

const fourFour = must(parseMeter('4/4'));

/** An ostinato as a teacher types it. */
export function typed(text: string): ClosedRecipe['over'][number] {
  const { name, meter, swung, lanes } = must(readOstinato(text, fourFour))[0] ?? {
    name: '',
    meter: '4/4',
    swung: false,
    lanes: [],
  };
  return { content: { name, meter, swung, lanes: [...lanes] } };
}

export function shipped(id: string): ClosedRecipe['over'][number] {
  const content = findShipped('ostinato', id)?.content;
  if (!content) throw new Error(`no ostinato ${id}`);
  return { id, version: 1, content: { ...content, lanes: [...content.lanes] } };
}

export function over(index: number, ...texts: string[]): Axis {
  return { at: 'over', index, values: texts.map(typed) };
}

export function lines(...texts: string[]): Axis {
  return { at: 'play', values: texts.map((text) => ({ content: { text } })) };
}

/** Every displacement of the line by slots. */
export function displacements(from: number, to: number, index = 0): Axis {
  const change: Change = { kind: 'displace', what: 'pattern', part: 'line', by: 1, slot: '8' };
  return { at: 'change', index, values: [{ kind: 'numbers', change, field: 'by', from, to }] };
}

export function family(...axes: Axis[]): Family {
  return { ...familyOf(blankRecipe()), axes };
}

export function opened(...axes: Axis[]): OpenedFamily {
  return must(openFamily(family(...axes)));
}

/** Ride {quarters, 8ths, upbeats} by snare {the same} over running feet. */
export const FLOWS: readonly Axis[] = [
  over(0, 'C: 1 2 3 4', 'C: xxxxxxxx', 'C: -x-x-x-x'),
  over(1, 'S: 1 2 3 4', 'S: xxxxxxxx', 'S: -x-x-x-x'),
  over(2, 'K: x-x-x-x-; LF bass drum: -x-x-x-x'),
];

/** Five textures of one-handed 16ths by three snares by three bass drums. */
export const TEXTURES: readonly Axis[] = [
  over(
    0,
    'H: xxxxxxxxxxxxxxxx',
    'H: XxXxXxXxXxXxXxXx',
    'H: XxxxXxxxXxxxXxxx',
    'H: xxXxxxXxxxXxxxXx',
    'H: XXXXXXXXXXXXXXXX',
  ),
  over(1, 'S: 2 4', 'S: 2 4a', 'S: 2& 4'),
  over(2, 'K: 1 3', 'K: 1 1a 3', 'K: 1 2& 3'),
];
