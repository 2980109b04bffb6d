import { seeded } from '@/core/chance';
import { LIMBS, type Limb } from '@/core/kit';
import { dosageNow, planTry, rungAt, type Manner, type Rung, type TryPlan } from '@/core/ladder';
import { callBars, scoreOf, type ClickMode, type Score } from '@/core/playing';
import { expand, type Exercise } from '@/core/recipe';
import { itemKey, type RoundSlot, type StandItem } from '@/core/studio';
import { bpm } from '@/core/time';
import { clickFor, type Click, type SetUp } from './kept';

/** What one try at the stand plays. */
export interface SlotPlan extends TryPlan {
  readonly item: StandItem;
  readonly rung: Rung;
  readonly exercise: Exercise;
  readonly score: Score;
}

/** Bars that are empty between two tries that follow each other: they count the next one in. */
const BARS_BETWEEN = 2;

/** @param first nothing is played before it, so one bar counts in  @param tapped tempo that was tapped
 * to music  @param chosen tempo that was taken in place of the rung's: it counts as what it is  @param seed of the order in which bars are called
 * @returns null for what cannot be played */
export function planSlot(
  item: StandItem,
  { cutTo }: Pick<RoundSlot, 'cutTo'>,
  setUp: SetUp,
  {
    first,
    tapped,
    chosen = null,
    seed,
  }: { first: boolean; tapped: number | null; chosen?: number | null; seed: number },
): SlotPlan | null {
  const expanded = expand(item.plays);
  if (!expanded.ok) return null;
  const exercise = expanded.value;
  const asked = rungAt(item.state.rungs, item.state.rung);
  const rung =
    chosen !== null && chosen !== asked.bpm
      ? { ...asked, key: `tempo:${chosen}`, bpm: bpm(chosen) }
      : tapped === null
        ? asked
        : { ...asked, bpm: bpm(tapped) };
  const whole = dosageNow(item.state, item.item.course.dosage);
  const dosage = cutTo === null ? whole : ({ kind: 'minutes', amount: cutTo } as const);
  const plan = planTry(exercise, rung, dosage);
  const manner = rung.stage?.kind === 'manner' ? rung.stage.manner : null;
  const untimed = rung.stage?.kind === 'step' && rung.stage.untimed === true;
  const { click } = clickFor(setUp, itemKey(item), asked.key);
  const own = manner === 'own-version' || item.item.kind === 'own';
  const score = scoreOf(exercise, {
    bars: plan.bars,
    countInBars: first ? (setUp.tapIn ? 0 : 1) : BARS_BETWEEN,
    muted: new Set<Limb>(LIMBS.filter((limb) => !setUp.hear.includes(limb))),
    ...clickOf(click, manner, untimed),
    calls: own ? callBars(exercise.bars, plan.bars, seeded(seed)) : null,
  });
  return { ...plan, item, rung, exercise, score };
}

/** The click of a try: what the rung asks for comes before what the student has. */
function clickOf({ bars, ...click }: Click, manner: Manner | null, untimed: boolean) {
  const asked = manner && CLICKS[manner];
  if (asked) return { ...click, clickBars: '', ...asked };
  return { ...click, clickBars: bars, ...(untimed && { click: 'off' as const }) };
}

/** Where the click sounds in a manner; elsewhere as the student has it. */
const CLICKS: Partial<Readonly<Record<Manner, { click: ClickMode; clickBars?: string }>>> = {
  'click-2-4': { click: 'second beats' },
  'click-drops': { click: 'beats', clickBars: 'xx--' },
  'click-off': { click: 'off' },
  'own-music': { click: 'off' },
};
