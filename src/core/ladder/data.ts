/** Ways in which the same thing is played otherwise, where the rung is not a tempo. */
export const MANNERS = [
  'pad',
  'lap',
  'voice',
  'click-2-4',
  'click-drops',
  'click-off',
  'soft',
  'own-music',
  'own-version',
] as const;

export const DOSAGE_KINDS = ['minutes', 'repetitions', 'bars', 'strokes'] as const;

/** What a stopped try counts as, where a teacher says otherwise than usual. */
export const STOPPED_TRIES = ['nothing', 'all'] as const;

/** Of at most so many of the last tries a rule asks for clean ones. */
export const MOST_LAST_TRIES = 12;

/** Most rungs of a ladder; more are a typing slip. */
export const MOST_RUNGS = 200;

/** Days away from an item that a rule may count at most. */
export const MOST_AWAY = 365;

/** Rungs below the first that was not clean, at most. */
export const MOST_BELOW = 5;
