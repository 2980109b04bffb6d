/** Two schools of footing on a double pedal. `grid`: the place decides. `groups`: the right foot
 * leads every unbroken group. */
export const FOOTINGS = ['grid', 'groups'] as const;

/** Notes that a rule can choose. `lone`: no other limb plays with it; `unisons`: one does. */
export const CHOSEN_NOTES = [
  'all',
  'lone',
  'unisons',
  'accents',
  'ghosts',
  'on the beat',
  'off the beat',
] as const;

/** What is kept of a limb that is thinned. */
export const THINNINGS = ['accents', 'beats', 'every other'] as const;
