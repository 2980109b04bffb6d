import { USUAL_CELLS } from '../interpret';
import { stickingStart } from '../sticking';
import type { MaterialContents } from './contents';
import { SHIPPED_KITS, SHIPPED_LINES } from './data';
import { SHIPPED_OSTINATOS } from './data-ostinatos';
import { SHIPPED_STICKINGS } from './data-stickings';
import type { MaterialKind } from './kinds';

/** An ingredient that can be chosen: shipped, or a studio's own. */
export type Material<K extends MaterialKind = MaterialKind> = {
  readonly [Kind in K]: {
    readonly kind: Kind;
    readonly id: string;
    readonly version: number;
    readonly name: string;
    readonly content: MaterialContents[Kind];
    /** What it is for: `rock`, `rests`, `flams`. */
    readonly trains: string;
    /** Null where it goes with any meter. */
    readonly meter: string | null;
    /** Of a line, from 1 to 8. */
    readonly grade: number | null;
    readonly own: boolean;
    /** Kept for what was made with it, no longer offered. */
    readonly archived: boolean;
  };
}[K];

const COMMON = { version: 1, own: false, archived: false, grade: null, meter: null } as const;

/** Everything that ships, in the order in which it is offered. */
export const SHIPPED: readonly Material[] = [
  ...Object.entries(SHIPPED_OSTINATOS).map(([id, { trains, ...content }]): Material => ({
    ...COMMON,
    kind: 'ostinato',
    id,
    name: content.name,
    content,
    trains,
    meter: content.meter,
  })),
  ...Object.entries(SHIPPED_LINES).map(([id, { name, text, meter, trains, grade }]): Material => ({
    ...COMMON,
    kind: 'line',
    id,
    name,
    content: { name, text },
    trains,
    meter,
    grade,
  })),
  ...Object.entries(SHIPPED_STICKINGS).map(([id, { name, trains, sticking, slot }]): Material => ({
    ...COMMON,
    kind: 'sticking',
    id,
    name,
    content: { ...stickingStart(sticking), name, slot },
    trains,
  })),
  {
    ...COMMON,
    kind: 'cells',
    id: 'usual-cells',
    name: USUAL_CELLS.name,
    content: USUAL_CELLS,
    trains: 'phrase cells',
  },
  ...Object.entries(SHIPPED_KITS).map(([id, content]): Material => ({
    ...COMMON,
    kind: 'kit',
    id,
    name: content.name,
    content,
    trains: 'kits',
  })),
];

const BY_ID = new Map(SHIPPED.map((one) => [`${one.kind} ${one.id}`, one]));

/** A shipped material; undefined when there is none. */
export function findShipped<K extends MaterialKind>(kind: K, id: string): Material<K> | undefined {
  return BY_ID.get(`${kind} ${id}`) as Material<K> | undefined;
}

/** The materials of one kind. */
export function ofKind<K extends MaterialKind>(
  library: readonly Material[],
  kind: K,
): readonly Material<K>[] {
  return library.filter(
    (one) => one.kind === kind,
  ) as readonly Material[] as readonly Material<K>[];
}
