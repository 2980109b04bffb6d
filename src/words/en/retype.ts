/** What typed text may mean. */
export const retype = {
  same: 'as it is',
  asSticking: '{text}, as a sticking, full cycle',
  changesOut: '{text}, the changes of the line taken out',
  even: '{sticking} in even {sixteenths}',
  rhythm:
    '{right, number} in the right hand against {left, number} in the left, {sticking} in {grid}',
  against: '{right, number} in the right hand against {left, number} in the left',
  byHand: '{notes, plural, one {one note} other {# notes}} changed by hand',
  rests: 'rests',
  lane: '{voice}: {grid} in {slots}',
  laneOf: '{voice}, {limb}: {grid} in {slots}',
} as const;
