export const steps = {
  buildOrder: 'Build order',
  earlier: '{stepKind} earlier',
  later: '{stepKind} later',
  leaveOutCapital: 'Leave out',
  leftOut: '{more, plural, =0 {Left out {step}.} other {Left out {step} and {more, number} more.}}',
  saveAsMyBuildOrder: 'save as my build order',
  savedAsYourBuildOrder: 'Saved as your build order.',
  step: 'Step',
  stepsAsARun: 'Steps as a run',
  stepsCapital: 'Steps',
  without: 'Without {stepKind}',
  makeFirst: 'Make an exercise on the <link>Bench</link>, then build it up here.',
} as const;
