/** How a finished try went, in the student's own judgement. */
export const VERDICTS = ['clean', 'shaky', 'lost'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** What went wrong in a try that was not clean. `limb` asks which one; `hands` only among the hands. */
export const SUFFERINGS = [
  { id: 'pushed', limb: false },
  { id: 'dragged', limb: false },
  { id: 'flam', limb: true },
  { id: 'uneven', limb: false },
  { id: 'followed', limb: true },
  { id: 'crept-in', limb: true },
  { id: 'accents', limb: false },
  { id: 'weak-hand', limb: 'hands' },
  { id: 'tense', limb: false },
  { id: 'count', limb: false },
  { id: 'seam', limb: false },
] as const;

export type SufferingId = (typeof SUFFERINGS)[number]['id'];

export const SUFFERING_IDS = SUFFERINGS.map((one) => one.id) as [SufferingId, ...SufferingId[]];
