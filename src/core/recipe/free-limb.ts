import { LIMBS, type Assignment, type Limb } from '../kit';
import { startOf, withWrittenSwing, type StartId } from './blank';
import type { ClosedRecipe } from './schema';

/** Who plays a line as it is written where nobody has said, the likeliest first. Common practice, no
 * source: a line goes to the left hand under a ride, and to the foot where both hands keep going. */
const PLAYERS: readonly Assignment[] = [
  { limb: 'LH', voice: 'snare' },
  { limb: 'RF', voice: 'bass' },
  { limb: 'RH', voice: 'snare' },
  { limb: 'LF', voice: 'hat-foot' },
];

/** Limbs that keep going, in limb order. */
function busyLimbs({ over }: Pick<ClosedRecipe, 'over'>): readonly Limb[] {
  const used = new Set(over.flatMap(({ content }) => content.lanes.map(({ limb }) => limb)));
  return LIMBS.filter((limb) => used.has(limb));
}

/** Whether a stick plays the hi-hat: then the left foot is not free, because it would close it. */
function isHatPlayed({ over }: Pick<ClosedRecipe, 'over'>): boolean {
  const hats = ['hat', 'hat-half', 'hat-open'];
  return over.some(({ content }) => content.lanes.some(({ voice }) => hats.includes(voice)));
}

/** Who plays a line as it is written: the likeliest limb that keeps nothing going; the likeliest of all
 * where none is free.
 * @example over hi-hat 8ths and a backbeat // => right foot, bass drum */
export function freePlayer(recipe: Pick<ClosedRecipe, 'over'>): Assignment {
  const busy = busyLimbs(recipe);
  const isFree = ({ limb }: Assignment) =>
    !busy.includes(limb) && !(limb === 'LF' && isHatPlayed(recipe));
  const [first] = PLAYERS;
  return PLAYERS.find(isFree) ?? (first as Assignment);
}

/** A line that is read as written, by a limb that is free over what keeps going. */
function verbatimOver(recipe: Pick<ClosedRecipe, 'over'>): ClosedRecipe['as'] {
  const as = startOf('verbatim');
  return as.kind === 'verbatim' ? { ...as, on: freePlayer(recipe) } : as;
}

/** Whether nobody has said who plays the line: it is read as it would be by itself. */
function isAsStarted({ as }: ClosedRecipe, over: ClosedRecipe['over']): boolean {
  return JSON.stringify(as) === JSON.stringify(verbatimOver({ over }));
}

/** Whether it is a line that is played: a sticking has its limbs itself. */
function isLine(play: ClosedRecipe['play']): boolean {
  return play !== null && !('sticking' in play.content);
}

/** The recipe with something to play. Where nothing was to play and nobody has said how it is read, a limb
 * plays it that is free. */
export function withPlay(recipe: ClosedRecipe, play: ClosedRecipe['play']): ClosedRecipe {
  const starts = recipe.play === null && isLine(play) && isAsStarted(recipe, []);
  return { ...recipe, play, ...(starts && { as: verbatimOver(recipe) }) };
}

/** What is played over a groove that has changed. A line whose limb nobody has chosen goes to one that is
 * free now.
 * @param before the recipe with the groove that it had */
export function withFreeLimb(before: ClosedRecipe, now: ClosedRecipe): ClosedRecipe {
  const follows = isLine(now.play) && before.as === now.as && isAsStarted(before, before.over);
  return follows ? { ...now, as: verbatimOver(now) } : now;
}

/** The recipe read another way; as written, by a limb that is free. What fills triplets is written in
 * triplets: a swing that was heard only becomes a swing that is written, so that limbs meet on the page as
 * they do in the ear. */
export function readAs(recipe: ClosedRecipe, id: StartId): ClosedRecipe {
  const as = id === 'verbatim' ? verbatimOver(recipe) : startOf(id);
  return withWrittenSwing({ ...recipe, as });
}
