/** How a try went, in the judgement of the student, or of the teacher beside the kit. */
export const VERDICTS = ['clean', 'shaky', 'lost'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** What tries are told apart by: `open` while nobody has said how it went. */
export type VerdictKey = Verdict | 'open';

/** What went wrong in a try that was not clean. `limb` asks which one; `hands` only among the hands. */
export const SUFFERINGS = [
  /** What was to be watched for. */
  { id: 'cue', limb: false },
  { id: 'pushed', limb: false },
  { id: 'dragged', limb: false },
  { id: 'flam', limb: true },
  { id: 'uneven', limb: false },
  { id: 'followed', limb: true },
  { id: 'crept-in', limb: true },
  { id: 'backbeat', limb: false },
  { id: 'accents', limb: false },
  { id: 'weak-hand', limb: 'hands' },
  { id: 'pressure', limb: false },
  { id: 'surface', limb: true },
  { id: 'tense', limb: false },
  { id: 'balance', limb: false },
  { id: 'count', limb: false },
  { id: 'seam', limb: false },
] as const;

export type SufferingId = (typeof SUFFERINGS)[number]['id'];

export const SUFFERING_IDS = SUFFERINGS.map((one) => one.id) as [SufferingId, ...SufferingId[]];
