/** From where to where a number goes, ends included. */
export interface Bounds {
  readonly least: number;
  readonly most: number;
}

/** The numbers of changes: how far each may go, for what is stored, typed, stepped and run through alike. */
export const CHANGE_NUMBERS = {
  displace: { by: { least: -64, most: 64 } },
  push: { note: { least: 1, most: 512 }, by: { least: 1, most: 64 } },
  substitute: { every: { least: 1, most: 64 }, place: { least: 1, most: 64 } },
  'every-nth': { nth: { least: 1, most: 32 }, first: { least: 1, most: 32 } },
  thicken: { count: { least: 1, most: 8 } },
  turn: { turn: { least: 0, most: 5 } },
  aim: {
    bars: { least: 1, most: 64 },
    times: { least: 1, most: 16 },
    lands: { least: -64, most: 64 },
    beat: { least: 1, most: 32 },
  },
  excerpt: { from: { least: 0, most: 4096 }, slots: { least: 1, most: 4096 } },
  'grace-width': { ms: { least: 5, most: 120 } },
} as const satisfies Readonly<Record<string, Readonly<Record<string, Bounds>>>>;

/** How far a number of a change goes. @param kind of the change  @returns null for what is no number of it */
export function boundsOf(kind: string, field: string): Bounds | null {
  const numbers: Partial<Record<string, Readonly<Record<string, Bounds>>>> = CHANGE_NUMBERS;
  return numbers[kind]?.[field] ?? null;
}
