import { fail, ok, type Issue, type Result } from '../issue';
import { asTail, inTimeOrder, mergeStrokes, type Layer, type Stroke } from '../pattern';
import { formatFeel, formatMeter, tick } from '../time';
import type { Exercise, Member } from './exercise';
import { allGaveWay } from './gave-way';
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
  const members = [partFor(opening.value, { name: then.name ?? '', ...then })];
  then.members.forEach((one, index) => {
    const { name, recipe } = one;
    const path = ['then', 'members', index] as const;
    const member = expandMember(recipe);
    if (!member.ok) issues.push(...member.issues.map((issue) => ({ ...issue, path })));
    else {
      issues.push(...misfits(name, member.value, opening.value, path));
      members.push(partFor(member.value, one));
    }
  });
  const bars = members.reduce((sum, one) => sum + one.bars, 0);
  if (bars > MOST_BARS) {
    issues.push({ code: 'sequence-too-long', path: ['then'], bars, most: MOST_BARS });
  }
  return issues.length > 0 ? fail(...issues) : ok(join(opening.value, members, bars));
}

interface Played {
  readonly name: string;
  readonly exercise: Exercise;
  readonly bars: number;
  readonly untimed: boolean;
}

/** A part with its bars: as many as are said, else its whole cycle. One that is untimed goes round only
 * where its bars are said; its own length is followed by silence to the bar line. */
function partFor(
  exercise: Exercise,
  {
    name,
    bars,
    untimed = false,
  }: { name: string; bars: number | null; untimed?: boolean | undefined },
): Played {
  if (!untimed || bars !== null) return { name, exercise, bars: bars ?? exercise.bars, untimed };
  const own = Math.max(...exercise.layers.map((one) => one.ownTicks ?? one.lengthTicks));
  const layers = exercise.layers.map((layer) => ({
    ...layer,
    strokes: layer.strokes.filter(({ at }) => at < own),
  }));
  const once = { ...exercise, layers };
  return { name, exercise: once, bars: Math.ceil(own / exercise.barTicks), untimed };
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

function join(first: Exercise, parts: readonly Played[], bars: number): Exercise {
  const cycle = tick(bars * first.barTicks);
  const layers: Layer[] = [];
  const members: Member[] = [];
  let fromBar = 0;
  parts.forEach(({ name, exercise, bars: count, untimed }, member) => {
    const start = fromBar * first.barTicks;
    for (const layer of exercise.layers) {
      const strokes = playFor(layer, count * first.barTicks).map((stroke): Stroke => {
        const at = start + stroke.at;
        return asTail({ ...stroke, at: tick(at % cycle) }, at >= cycle);
      });
      layers.push({ role: 'over', name: layer.name, lengthTicks: cycle, member, strokes });
    }
    members.push({ name, fromBar, bars: count, cycleBars: exercise.bars, untimed });
    fromBar += count;
  });
  const startOf = (nth: number) => (members[nth]?.fromBar ?? 0) * first.barTicks;
  const joined = withoutTwice(layers, members, first.barTicks);
  return {
    ...first,
    bars,
    cycleTicks: cycle,
    cutFrom: null,
    layers: joined,
    strokes: mergeStrokes(joined),
    stale: parts.reduce((sum, one) => sum + one.exercise.stale, 0),
    gaveWay: allGaveWay(parts.map((one) => one.exercise.gaveWay)),
    crowdedGraces: parts.flatMap(({ exercise, bars: count }, nth) =>
      exercise.crowdedGraces.flatMap((at) =>
        at < count * first.barTicks ? [tick(startOf(nth) + at)] : [],
      ),
    ),
    lostAnchors: parts.flatMap(({ exercise, bars: count }, nth) => {
      const within = exercise.lostAnchors.filter(({ at }) => at < count * first.barTicks);
      return within.map((one) => ({ ...one, at: tick(startOf(nth) + one.at) }));
    }),
    replaced: parts.flatMap((one) => one.exercise.replaced),
    members,
  };
}

/** What a member plays in its bars, begun at its start: what fills a gap after a note of its own sounds
 * to its end, over the member's last bar line; what would fill a gap after a note before its start does
 * not. @returns strokes from its start, some at or after `length`, in no order */
function playFor(layer: Layer, length: number): readonly Stroke[] {
  const found: Stroke[] = [];
  for (let from = 0; from < length + layer.lengthTicks; from += layer.lengthTicks) {
    for (const stroke of layer.strokes) {
      const at = from + stroke.at;
      const begins =
        stroke.from.source === 'fill' && stroke.from.gap ? at - stroke.from.offset : at;
      if (begins >= 0 && begins < length) found.push({ ...stroke, at: tick(at) });
    }
  }
  return found;
}

/** A limb plays a voice once at an instant: where the end of one member and the next member's own stroke
 * are the same, the member's own is played. */
function withoutTwice(
  layers: readonly Layer[],
  members: readonly Member[],
  barTicks: number,
): readonly Layer[] {
  const key = ({ at, limb, voice }: Stroke) => `${at} ${limb} ${voice}`;
  const isOwn = ({ member = 0 }: Layer, { at }: Stroke) => {
    const { fromBar = 0, bars = 1 } = members[member] ?? {};
    return at >= fromBar * barTicks && at < (fromBar + bars) * barTicks;
  };
  const own = new Set(
    layers.flatMap((layer) => layer.strokes.filter((one) => isOwn(layer, one)).map(key)),
  );
  return layers.map((layer) => ({
    ...layer,
    strokes: layer.strokes
      .filter((one) => isOwn(layer, one) || !own.has(key(one)))
      .sort(inTimeOrder),
  }));
}
