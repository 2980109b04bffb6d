/** The steps in which an exercise is built, and exercises that are one note away. */
export const steps = {
  kind: {
    limbs: 'each limb alone',
    pairs: 'pairs of limbs',
    threes: 'three limbs',
    pulse: 'pulse for the line',
    beats: 'plain, then skip notes',
    nth: 'every nth, one after the other',
    skeleton: 'skeleton, then ornaments',
    graces: 'grace notes tightened',
    shares: 'each hand’s share',
    halves: 'halves, then the join',
  },
  plays: {
    pulse: 'the pulse for the line',
    beats: 'plain: beats only',
    plain: 'without ornaments',
    'full-grid': 'the full grid',
    whole: 'all of it',
    gracesTriplets: 'grace notes as triplets',
    graces16ths: 'grace notes as {sixteenths}',
    nthNone: 'without the added notes',
    nth: 'the first {count, number} of {of, number}',
    share: 'the {limb}’s share',
    half: '{half, select, first {the first half} other {the second half}}',
  },
  note: {
    moved: '{voice} from {from} to {to}',
    added: '{voice} added on {to}',
    removed: '{voice} on {from} left out',
  },
} as const;
