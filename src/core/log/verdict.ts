/** How a finished try went, in the student's own judgement. */
export const VERDICTS = ['clean', 'shaky', 'lost'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** What suffered in a try that was not clean, in the trade's words. `limb` asks which one; `hands` only
 * among the hands. */
export const SUFFERINGS = [
  { id: 'pushed', name: 'pushed', limb: false },
  { id: 'dragged', name: 'dragged', limb: false },
  { id: 'flam', name: 'flam between limbs', limb: true },
  { id: 'uneven', name: 'uneven spacing', limb: false },
  { id: 'followed', name: 'a limb followed another', limb: true },
  { id: 'crept-in', name: 'a note crept in', limb: true },
  { id: 'accents', name: 'accents unclear', limb: false },
  { id: 'weak-hand', name: 'one hand weaker', limb: 'hands' },
  { id: 'tense', name: 'tense', limb: false },
  { id: 'count', name: 'lost the count', limb: false },
  { id: 'seam', name: 'broke at the seam', limb: false },
] as const;

export type SufferingId = (typeof SUFFERINGS)[number]['id'];

export const SUFFERING_IDS = SUFFERINGS.map((one) => one.id) as [SufferingId, ...SufferingId[]];

export function sufferingName(id: SufferingId): string {
  return SUFFERINGS.find((one) => one.id === id)?.name ?? id;
}
