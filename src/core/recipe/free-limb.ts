import { claimsOf, reassigned, type InterpretationKind } from '../interpret';
import { isHand, isStickedHat, type Assignment, type Limb } from '../kit';
import { anchorsOf } from '../materials';
import { INTERPRETATION_STARTS, startOf, withWrittenSwing, type StartId } from './blank';
import type { ClosedRecipe } from './schema';

type Groove = Pick<ClosedRecipe, 'over'>;
type As = ClosedRecipe['as'];
type Movable = Exclude<InterpretationKind, 'phrase-cells'>;

/** Who plays a line where nobody has said, the likeliest first. Common practice, no source: a line goes to
 * the left hand under a ride, and to the foot where both hands keep going. */
const PLAYERS: readonly Assignment[] = [
  { limb: 'LH', voice: 'snare' },
  { limb: 'RF', voice: 'bass' },
  { limb: 'RH', voice: 'snare' },
  { limb: 'LF', voice: 'hat-foot' },
];

/** How much is lost where a limb gives way to a line, from nothing up: a part of the groove; an anchor, or the
 * hi-hat that the foot would close. */
const COSTS = { free: 0, part: 1, anchor: 2 } as const;

/** What it costs to take a limb away from what keeps going. */
function costOf(limb: Limb, { over }: Groove): number {
  const anchors = over.flatMap(({ content }) => anchorsOf(content));
  if (anchors.some((one) => one.limb === limb)) return COSTS.anchor;
  const lanes = over.flatMap(({ content }) => content.lanes);
  if (lanes.some((lane) => lane.limb === limb)) return COSTS.part;
  return limb === 'LF' && lanes.some(({ voice }) => isStickedHat(voice))
    ? COSTS.anchor
    : COSTS.free;
}

/** The player that costs the groove least; of those the likeliest. */
function cheapest(players: readonly Assignment[], groove: Groove): Assignment | null {
  const cost = ({ limb }: Assignment) => costOf(limb, groove);
  return players.toSorted((a, b) => cost(a) - cost(b))[0] ?? null;
}

/** Who plays a line as it is written: the likeliest limb that keeps nothing going; where none is free, the
 * one whose part is no anchor.
 * @example over rock in 8ths // => right foot, bass drum: never the backbeat's hand */
export function freePlayer(groove: Groove): Assignment {
  return cheapest(PLAYERS, groove) as Assignment;
}

/** The interpretation by limbs that are free over what keeps going. A limb that is busy hands its part to one
 * that costs the groove less and that the interpretation does not have yet; where there is none, a free hand
 * that it has takes both parts of short and long, on two surfaces.
 * @example short and long over a left-hand clave // => short in the right hand, long on the bass drum */
export function freed(as: As, groove: Groove): As {
  if (as.kind === 'verbatim') return { ...as, on: freePlayer(groove) };
  if (as.kind === 'phrase-cells') return as;
  const wanted = claimsOf(as);
  const cymbals = new Set<Limb>();
  reassigned<Movable>(as, (part) => {
    if (part.voice === 'crash') cymbals.add(part.limb);
    return part;
  });
  const moves = new Map<Limb, Limb>();
  const taken = (limb: Limb) => wanted.includes(limb) || [...moves.values()].includes(limb);
  // Who costs most chooses first.
  const busy = wanted.filter((limb) => costOf(limb, groove) > COSTS.free);
  for (const limb of busy.toSorted((a, b) => costOf(b, groove) - costOf(a, groove))) {
    const cost = costOf(limb, groove);
    const needsHand = cymbals.has(limb);
    const rest = PLAYERS.filter((one) => !taken(one.limb) && (!needsHand || isHand(one.limb)));
    const other = cheapest(rest, groove);
    const costs = other ? costOf(other.limb, groove) : Infinity;
    const shares =
      as.kind === 'short-long' && costs > COSTS.free ? freeHand(wanted, moves, groove) : null;
    const to = shares ?? (costs < cost ? other?.limb : null);
    if (to) moves.set(limb, to);
  }
  return moves.size === 0 ? as : reassigned<Movable>(as, (part) => movedPart(part, moves, wanted));
}

/** A hand of the interpretation that keeps nothing going. */
function freeHand(wanted: readonly Limb[], moves: ReadonlyMap<Limb, Limb>, groove: Groove) {
  const hands = [...wanted, ...moves.values()].filter(isHand);
  return hands.find((limb) => costOf(limb, groove) === COSTS.free) ?? null;
}

function movedPart(part: Assignment, moves: ReadonlyMap<Limb, Limb>, wanted: readonly Limb[]) {
  const limb = moves.get(part.limb);
  if (!limb) return part;
  if (!isHand(limb)) return { limb, voice: limb === 'RF' ? 'bass' : 'hat-foot' } as const;
  // Two parts of one hand are told apart by their surface.
  const isSecond =
    wanted.includes(limb) ||
    [...moves].some(
      ([from, to]) => to === limb && wanted.indexOf(from) < wanted.indexOf(part.limb),
    );
  return { limb, voice: isSecond || !isHand(part.limb) ? 'tom-floor' : part.voice } as const;
}

/** An interpretation as it starts, by limbs that are free over what keeps going. */
function startOver(id: StartId, groove: Groove): As {
  return freed(startOf(id), groove);
}

/** The start that the interpretation is over this groove, where nobody has said who plays; else null. */
function startIn({ as }: ClosedRecipe, over: ClosedRecipe['over']): StartId | null {
  const now = JSON.stringify(as);
  const found = INTERPRETATION_STARTS.find(
    ({ id, as: { kind } }) => kind === as.kind && JSON.stringify(startOver(id, { over })) === now,
  );
  return found?.id ?? null;
}

/** Whether it is a line that is played: a sticking has its limbs itself. */
function isLine(play: ClosedRecipe['play']): boolean {
  return play !== null && !('sticking' in play.content);
}

/** The recipe with something to play. Where nothing was to play and nobody has said how it is read, a limb
 * plays it that is free. */
export function withPlay(recipe: ClosedRecipe, play: ClosedRecipe['play']): ClosedRecipe {
  const start = recipe.play === null && isLine(play) ? startIn(recipe, []) : null;
  return { ...recipe, play, ...(start && { as: startOver(start, recipe) }) };
}

/** What is played over a groove that has changed. A line whose limb nobody has chosen goes to one that is
 * free now.
 * @param before the recipe with the groove that it had */
export function withFreeLimb(before: ClosedRecipe, now: ClosedRecipe): ClosedRecipe {
  const follows = isLine(now.play) && before.as === now.as;
  const start = follows ? startIn(before, before.over) : null;
  return start ? { ...now, as: startOver(start, now) } : now;
}

/** The recipe read another way, by limbs that are free. What fills triplets is written in
 * triplets: a swing that was heard only becomes a swing that is written, so that limbs meet on the page as
 * they do in the ear. */
export function readAs(recipe: ClosedRecipe, id: StartId): ClosedRecipe {
  return withWrittenSwing({ ...recipe, as: startOver(id, recipe) });
}
