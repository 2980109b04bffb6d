import fc from 'fast-check';
import { findShipped, SHIPPED_LINES, SHIPPED_OSTINATOS, SHIPPED_STICKINGS } from '../materials';
import { stickingStart } from '../sticking';
import type { SubdivisionId } from '../time';
import {
  blankRecipe,
  INTERPRETATION_STARTS,
  startOf,
  toggleOstinato,
  withParts,
  type Change,
  type ClosedRecipe,
} from '.';

/** A change of each kind that a line can take. */
export const CHANGES: readonly Change[] = [
  { kind: 'displace', what: 'pattern', part: 'line', by: 3, slot: '16' },
  { kind: 'displace', what: 'accents', part: 'line', by: 1, slot: '16' },
  { kind: 'mirror', what: 'hands', part: 'all' },
  { kind: 'reverse', part: 'line', slot: '16' },
  { kind: 'footing', part: 'all', school: 'groups' },
  { kind: 'place', to: { limb: 'RF', voice: 'bass' }, slot: '16', grid: '--xx' },
  { kind: 'give', part: 'line', from: 'RH', to: { limb: 'LF', voice: 'hat-foot' } },
];

const content = fc.oneof(
  fc
    .constantFrom(...Object.values(SHIPPED_LINES))
    .map(({ text, meter }) => ({ meter, play: { text } })),
  fc
    .tuple(
      fc.stringMatching(/^([RLKT-]{1,4} ){1,3}[RL]{1,3}$/),
      fc.constantFrom<SubdivisionId>('8', '16', '8t', '16t', '5'),
    )
    .map(([text, slot]) => ({ meter: '4/4', play: { ...stickingStart(text), slot } })),
  // With flams, drags, ruffs, diddles, rolls and buzzes.
  fc
    .stringMatching(/^(>?[fduioz]?[RL]{1,2} ){1,4}[fd]?[RL]{1,2}$/)
    .map((text) => ({ meter: '4/4', play: { ...stickingStart(text), slot: '16' as const } })),
  fc
    .constantFrom(...Object.values(SHIPPED_STICKINGS))
    .map(({ sticking, slot }) => ({ meter: '4/4', play: { ...stickingStart(sticking), slot } })),
  fc.constant({
    meter: '4/4',
    play: { ...stickingStart('RLRL 8t: RLL RLL RLL'), slot: '16' as const },
  }),
);

const EXERCISES = fc
  .record({
    what: content,
    over: fc.option(fc.constantFrom(...Object.keys(SHIPPED_OSTINATOS)), { nil: null }),
    as: fc.constantFrom(...INTERPRETATION_STARTS.map(({ id }) => id)),
    changes: fc.subarray([...CHANGES], { maxLength: 2 }),
    feel: fc.constantFrom<ClosedRecipe['feel']>(
      { kind: 'straight' },
      { kind: 'triplets' },
      { kind: 'swung', long: 2, short: 1 },
    ),
    clash: fc.constantFrom('limbs' as const, 'groove' as const, 'merge' as const),
    kit: fc.constantFrom('full-kit', 'mirrored-kit', 'left-lead', 'open-handed'),
  })
  .map(({ what, over, as, changes, feel, clash, kit }): ClosedRecipe => {
    const found = findShipped('kit', kit)?.content;
    const base = over ? toggleOstinato(blankRecipe(), over) : blankRecipe();
    return {
      ...base,
      meter: what.meter,
      play: { content: what.play },
      as: startOf(as),
      changes,
      feel,
      clash,
      kit: found ? { content: { ...found, voices: [...found.voices] } } : base.kit,
    };
  });

/** Recipes of all kinds: shipped lines and typed stickings, ornaments among them, over an ostinato or alone, changed,
 * swung, on other kits; one in six goes on with another part, whole or for some bars. */
export const RECIPES: fc.Arbitrary<ClosedRecipe> = fc.oneof(
  { weight: 5, arbitrary: EXERCISES },
  {
    weight: 1,
    arbitrary: fc
      .tuple(EXERCISES, EXERCISES, fc.option(fc.integer({ min: 1, max: 4 }), { nil: null }))
      .map(([first, then, bars]) =>
        withParts([
          { name: 'A', bars: null, untimed: false, recipe: first },
          { name: 'B', bars, untimed: false, recipe: { ...then, meter: first.meter } },
        ]),
      ),
  },
);
