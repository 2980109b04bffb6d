import { isHand, mirrorHand, mirrorLimb, type Limb } from '../kit';
import type { Stroke } from '../pattern';
import { joinEdit, type EditedStroke, type HandEdit, type StrokePlace } from '../transform';
import { tick, wrap } from '../time';
import type { Exercise } from './exercise';
import { expand } from './expand';
import type { ClosedMember, ClosedRecipe } from './schema';

/** What a hand does to a stroke that is seen; null takes it away, or adds one where there is none. */
export interface SeenEdit {
  readonly from: Stroke | null;
  readonly to: EditedStroke | null;
}

/** The recipe with edits made on what is seen. What is seen stands on the player's kit: the edits
 * are kept as the recipe is written, so that they follow to another kit. Edits in a row are one
 * change; a change that undoes itself goes. In a sequence each member keeps its own edits: what is
 * changed in one of its passes is changed in all of them. */
export function editByHand(
  recipe: ClosedRecipe,
  exercise: Exercise,
  edits: readonly SeenEdit[],
): ClosedRecipe {
  const { then } = recipe;
  return then ? editMembers(recipe, then, exercise, edits) : editAlone(recipe, exercise, edits);
}

function editAlone(
  recipe: ClosedRecipe,
  exercise: Exercise,
  edits: readonly SeenEdit[],
): ClosedRecipe {
  const length = exercise.cycleTicks;
  const last = recipe.changes.at(-1);
  const joins = last?.kind === 'hand' && (last.length === length || last.edits.length === 0);
  const before: readonly HandEdit[] = joins ? last.edits : [];
  const after = edits.reduce((all, edit) => joinEdit(all, asWritten(edit, recipe)), before);
  const rest = joins ? recipe.changes.slice(0, -1) : recipe.changes;
  const change = { kind: 'hand' as const, length, edits: after.map(plain) };
  return { ...recipe, changes: after.length === 0 ? rest : [...rest, change] };
}

/** Each edit to the member in whose bars it lies; one that leads from a member into another takes the
 * stroke away there and adds it here. */
function editMembers(
  recipe: ClosedRecipe,
  then: NonNullable<ClosedRecipe['then']>,
  exercise: Exercise,
  edits: readonly SeenEdit[],
): ClosedRecipe {
  const { barTicks, cycleTicks } = exercise;
  const memberAt = (at: number) =>
    exercise.members.findLastIndex(({ fromBar }) => at >= fromBar * barTicks);
  const memberOf = ({ from, to }: SeenEdit) => ownerOf(from, exercise) ?? memberAt(to?.at ?? 0);
  const split = edits.flatMap((edit): readonly SeenEdit[] => {
    const { from, to } = edit;
    if (!from || !to || from.at === to.at || memberOf(edit) === memberAt(to.at)) return [edit];
    return [
      { from, to: null },
      { from: null, to },
    ];
  });
  const { then: _, ...alone } = recipe;
  const recipes: ClosedMember[] = [alone, ...then.members.map((one) => one.recipe)];
  const edited = recipes.map((own, index): ClosedMember => {
    const member = exercise.members[index];
    const mine = split.filter((edit) => memberOf(edit) === index);
    const made = member && mine.length > 0 ? expand(own) : null;
    if (!member || !made?.ok) return own;
    const local = (at: number) =>
      tick(wrap(at - member.fromBar * barTicks, cycleTicks) % made.value.cycleTicks);
    const inside = mine.map(({ from, to }) => ({
      from: from && { ...from, at: local(from.at) },
      to: to && { ...to, at: local(to.at) },
    }));
    const { then: _then, ...rest } = editAlone(own, made.value, inside);
    return rest;
  });
  const members = then.members.map((one, index) => ({
    ...one,
    recipe: edited[index + 1] ?? one.recipe,
  }));
  return { ...(edited[0] ?? alone), then: { ...then, members } };
}

/** The member that a stroke comes from: the end of a phrase lies in the bars of the next one. */
function ownerOf(stroke: Stroke | null, { layers }: Exercise): number | null {
  const layer = layers.find(({ strokes }) =>
    strokes.some(
      (one) => one.at === stroke?.at && one.limb === stroke.limb && one.voice === stroke.voice,
    ),
  );
  return layer?.member ?? null;
}

function plain({ from, to }: HandEdit) {
  return { from: from && { ...from }, to: to && { ...to } };
}

function asWritten({ from, to }: SeenEdit, recipe: ClosedRecipe): HandEdit {
  const place: StrokePlace | null = from && {
    at: from.at,
    limb: from.written?.limb ?? from.limb,
    voice: from.written?.voice ?? from.voice,
  };
  if (!to) return { from: place, to: null };
  const limb =
    from && to.limb === from.limb ? (place?.limb ?? to.limb) : newLimb(to.limb, from, recipe);
  const voice = from && to.voice === from.voice ? (place?.voice ?? to.voice) : to.voice;
  return { from: place, to: { ...to, limb, voice } };
}

/** A hand that the kit does not turn round, such as that of a sticking on an open-handed one, stays
 * so for the limb that is chosen instead. */
function newLimb(limb: Limb, from: Stroke | null, recipe: ClosedRecipe): Limb {
  const kept = from && isHand(from.limb) && (from.written?.limb ?? from.limb) === from.limb;
  return kept ? limb : writtenLimb(limb, recipe);
}

/** The limb on a right-handed kit that this player's limb stands for. */
function writtenLimb(limb: Limb, recipe: ClosedRecipe): Limb {
  const { handedness } = recipe.kit.content;
  if (handedness === 'mirrored') return mirrorLimb(limb);
  return handedness === 'right' || !isHand(limb) ? limb : mirrorHand(limb);
}
