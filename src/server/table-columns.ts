/** Columns of a log, by names that no language changes. */
export const LOG_COLUMNS = [
  'student',
  'date',
  'time',
  'program',
  'exercise',
  'bpm',
  'rung',
  'bars',
  'seconds',
  'verdict',
  'judged-by',
  'stopped',
  'paper',
  'suffered',
  'broke-on-beat',
  'remark',
  'id',
] as const;

/** Columns of a roster, by names that no language changes. */
export const ROSTER_COLUMNS = ['name', 'about', 'handedness', 'programs'] as const;
