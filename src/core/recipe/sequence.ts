import { fail, ok, sayCount, type Issue, type Result } from '../issue';
import { loopLayer, mergeStrokes, type Layer } from '../pattern';
import { formatFeel, formatMeter, lcm, tick } from '../time';
import type { Exercise, Member } from './exercise';
import type { ClosedMember, ClosedRecipe } from './schema';

/** Most bars of a sequence. */
const MOST_BARS = 256;

/** Plays exercises back to back, each for its bars: runs, A/B, groove and phrase. A member whose
 * cycle is longer than its bars is played up to there, as it would be at a desk.
 * @returns issues `member-meter` and `member-feel` for members that do not go with the first, and
 * the issues of each member, their path led by `then`, `members` and its place */
export function expandSequence(
  first: ClosedMember,
  then: NonNullable<ClosedRecipe['then']>,
  expandMember: (recipe: ClosedMember) => Result<Exercise>,
): Result<Exercise> {
  const opening = expandMember(first);
  if (!opening.ok) return opening;
  const issues: Issue[] = [];
  const members: { name: string; exercise: Exercise; bars: number }[] = [
    { name: '', exercise: opening.value, bars: then.bars ?? opening.value.bars },
  ];
  then.members.forEach(({ name, bars, recipe }, index) => {
    const path = ['then', 'members', index] as const;
    const member = expandMember(recipe);
    if (!member.ok) issues.push(...member.issues.map((issue) => ({ ...issue, path })));
    else {
      issues.push(...misfits(name, member.value, opening.value, path));
      members.push({ name, exercise: member.value, bars: bars ?? member.value.bars });
    }
  });
  const bars = members.reduce((sum, one) => sum + one.bars, 0);
  if (bars > MOST_BARS) {
    issues.push({ code: 'sequence-too-long', path: ['then'], bars, most: MOST_BARS });
  }
  return issues.length > 0 ? fail(...issues) : ok(join(opening.value, members, bars));
}

function misfits(
  name: string,
  member: Exercise,
  first: Exercise,
  path: readonly (string | number)[],
): Issue[] {
  const meter = [formatMeter(member.meter), formatMeter(first.meter)] as const;
  if (meter[0] !== meter[1]) {
    return [{ code: 'member-meter', path, name, meter: meter[0], wanted: meter[1] }];
  }
  const feel = [formatFeel(member.feel), formatFeel(first.feel)] as const;
  if (feel[0] === feel[1]) return [];
  return [{ code: 'member-feel', path, name, feel: feel[0], wanted: feel[1] }];
}

function join(
  first: Exercise,
  parts: readonly { name: string; exercise: Exercise; bars: number }[],
  bars: number,
): Exercise {
  const cycle = tick(bars * first.barTicks);
  const layers: Layer[] = [];
  const members: Member[] = [];
  let fromBar = 0;
  for (const { name, exercise, bars: count } of parts) {
    const start = fromBar * first.barTicks;
    const length = count * first.barTicks;
    for (const layer of exercise.layers) {
      const whole = loopLayer(layer, tick(lcm(layer.lengthTicks, length)));
      const strokes = whole.strokes
        .filter(({ at }) => at < length)
        .map((stroke) => ({ ...stroke, at: tick(stroke.at + start) }));
      layers.push({ role: 'over', name: layer.name, lengthTicks: cycle, strokes });
    }
    members.push({ name, fromBar, bars: count, cycleBars: exercise.bars });
    fromBar += count;
  }
  return {
    ...first,
    bars,
    cycleTicks: cycle,
    layers,
    strokes: mergeStrokes(layers),
    stale: parts.reduce((sum, one) => sum + one.exercise.stale, 0),
    replaced: parts.flatMap((one) => one.exercise.replaced),
    members,
  };
}

/** What of its own cycle a member plays, where that is not all of it; else empty.
 * @example sayPartOfCycle({ bars: 3, cycleBars: 4, … }) // => 'bars 1 to 3 of its cycle of 4' */
export function sayPartOfCycle({ bars, cycleBars }: Pick<Member, 'bars' | 'cycleBars'>): string {
  const last = bars % cycleBars;
  if (last === 0) return '';
  const times = Math.floor(bars / cycleBars);
  const whole = times === 0 ? '' : `${sayCount(times, 'time')} and `;
  const played = last === 1 ? 'bar 1' : `bars 1 to ${last}`;
  return `${whole}${played} of its cycle of ${cycleBars}`;
}
