/** What is too near to be played well on a kit, by whoever plays it; in ms. */
export interface Limits {
  /** A stick on the hi-hat before the foot closes it. */
  readonly hatBeforeFoot: number;
  /** A hand that comes down from an accent to a ghost. */
  readonly ghostAfterAccent: number;
  /** Right foot into left foot. */
  readonly footToFoot: number;
  /** Strokes of one hand in a row. */
  readonly handRun: number;
  /** Strokes of one foot in a row. */
  readonly footRun: number;
}

/** Common practice, no source; a teacher sets others for a kit or a student. */
export const USUAL_LIMITS: Limits = {
  hatBeforeFoot: 300,
  ghostAfterAccent: 180,
  footToFoot: 180,
  handRun: 110,
  footRun: 150,
};

/** In the order in which they are set. */
export const LIMIT_KEYS = [
  'hatBeforeFoot',
  'ghostAfterAccent',
  'footToFoot',
  'handRun',
  'footRun',
] as const satisfies readonly (keyof Limits)[];

/** Shortest and longest that can be set, in ms. */
export const LIMIT_RANGE = { least: 20, most: 1000 } as const;

/** Limits that a kit sets itself. */
export type OwnLimits = { readonly [Key in keyof Limits]?: number | undefined };

/** The limits of a kit; the usual ones where it sets none. */
export function limitsOf({ limits }: { readonly limits?: OwnLimits | undefined }): Limits {
  if (!limits) return USUAL_LIMITS;
  const set = Object.entries(limits).filter(([, ms]) => ms !== undefined);
  return { ...USUAL_LIMITS, ...Object.fromEntries(set) };
}
