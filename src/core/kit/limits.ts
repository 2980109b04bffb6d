import type { OwnLimits } from './schema';

export type Limits = { readonly [Key in keyof OwnLimits]-?: number };

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

/** The limits of a kit; the usual ones where it sets none. */
export function limitsOf({ limits }: { readonly limits?: OwnLimits | undefined }): Limits {
  if (!limits) return USUAL_LIMITS;
  const set = Object.entries(limits).filter(([, ms]) => ms !== undefined);
  return { ...USUAL_LIMITS, ...Object.fromEntries(set) };
}
