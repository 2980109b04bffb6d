/** What stands on paper. */
export const sheet = {
  page: '{page, number} of {of, number}',
  together: 'Said as one, {limbs}',
  motion: { full: 'F', down: 'D', tap: 'T', up: 'U' },
  motionsAre: 'F full · D down · T tap · U up',
  watchFor: 'Watch for',
  dosage: '{dosage} a try',
  rule: 'up after {clean, number} clean, down after {lost, number} lost',
  tempo: 'Tempo',
  remark: 'Remark',
  tempoAndRemark: 'Tempo, remark',
  week: '{from} to {to}',
  exercise: 'Exercise',
  now: 'now {rung}',
  ticks: 'c clean · s shaky · l lost, a letter for each try · a dot: planned for that day',
  minutes: '{minutes, number} min',
} as const;
