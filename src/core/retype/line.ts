import { lineReading, lineWords, sayWord, type LineSlot, type LineWord } from '../analysis';
import { fail, ok, type Result } from '../issue';
import { isHand, usualLimb, voice, VOICES, type Limb, type VoiceId } from '../kit';
import type { Stroke } from '../pattern';
import {
  editByHand,
  expand,
  type ClosedRecipe,
  type Exercise,
  type PlayContent,
  type SeenEdit,
} from '../recipe';
import {
  limbsOfLetter,
  looksSticking,
  mirrorLetters,
  parsePhrase,
  saySlot,
  typedSticking,
  type StickingSlot,
} from '../sticking';
import { SUBDIVISIONS } from '../time';
import { tidy, type Retyped } from './retyped';

/** What the line became, typed anew. What reads so already stays. Where as many slots are typed as there
 * are, those that differ are changed by hand and the rest stays as it is; or a sticking is played instead,
 * as it stands in the text, which comes first where a sticking stands there as it was typed. Letters of
 * voices change what each note sounds.
 * @returns only what reads back as it was typed, unless nothing does; issues `sticking-token`, `line-letters` */
export function retypeLine(
  recipe: ClosedRecipe,
  exercise: Exercise,
  text: string,
): Result<readonly Retyped[]> {
  const typed = tidy(text);
  if (typed === lineReading(exercise))
    return ok([{ means: { kind: 'text', text: typed }, recipe }]);
  return exercise.reads === 'sticking'
    ? retypeSticking(recipe, exercise, typed)
    : retypeVoices(recipe, exercise, typed);
}

function retypeSticking(
  recipe: ClosedRecipe,
  exercise: Exercise,
  typed: string,
): Result<readonly Retyped[]> {
  const content = stickingOf(recipe, exercise, typed);
  const read = parsePhrase(typed, content.slot);
  if (!read.ok) return read;
  const played = { ...recipe, play: { content } };
  const plain = { ...played, changes: played.changes.filter((one) => !isOfLine(one)) };
  // A kit that swaps the hands swaps those of a new sticking, too: what is typed is what is then seen.
  const mirrored = { ...content, sticking: mirrorLetters(typed) };
  const isTyped = isAsTyped(recipe);
  const instead: Retyped = {
    means: { kind: isTyped ? 'text' : 'as-sticking', text: typed },
    recipe: played,
  };
  const asTyped = { kind: 'text', text: typed } as const;
  const edited = editSlots(recipe, exercise, read.value.slots);
  const offers: readonly Retyped[] = [
    ...(isTyped ? [instead, ...edited] : [...edited, instead]),
    { means: { kind: 'changes-out', text: typed }, recipe: plain },
    { means: asTyped, recipe: { ...plain, play: { content: mirrored } } },
  ];
  const fits = offers.filter((one) => readsAs(one.recipe, typed));
  return ok(fits.length > 0 ? once(fits) : [{ means: asTyped, recipe: plain }]);
}

/** Whether a sticking stands there that is played as it was typed: not fitted, on its own sides, and by no
 * change made otherwise. */
function isAsTyped({ play, changes }: ClosedRecipe): boolean {
  const content = play?.content;
  if (!content || !('sticking' in content)) return false;
  return content.bars === null && content.sides === 'written' && !changes.some(isOfLine);
}

/** Of readings that come to the same, the first. */
function once(offers: readonly Retyped[]): readonly Retyped[] {
  const texts = offers.map((one) => JSON.stringify(one.recipe));
  return offers.filter((_, index) => texts.indexOf(texts[index] ?? '') === index);
}

function isOfLine(change: ClosedRecipe['changes'][number]): boolean {
  return change.kind === 'hand' || ('part' in change && change.part !== 'over');
}

/** Whether a recipe reads back as typed, however its words are set apart. */
function readsAs(recipe: ClosedRecipe, typed: string): boolean {
  const made = expand(recipe);
  const joined = (text: string) => text.replaceAll(' ', '');
  return made.ok && joined(lineReading(made.value)) === joined(typed);
}

/** The sticking that is played instead: on the voices and in the slots of what stands there. */
function stickingOf(recipe: ClosedRecipe, exercise: Exercise, typed: string) {
  const before: PlayContent | undefined = recipe.play?.content;
  const { as } = recipe;
  const kept = before && 'sticking' in before ? before : typedSticking('');
  const voices =
    as.kind === 'phrase-cells' && kept !== before
      ? { RH: as.voices.R, LH: as.voices.L, RF: as.voices.K, LF: as.voices.F }
      : kept.voices;
  const first = exercise.layers.find((layer) => layer.role === 'line')?.strokes[0]?.slot;
  const slot = SUBDIVISIONS.find((one) => one.slotTicks === first)?.id ?? kept.slot;
  const sides = 'written' as const;
  return { ...kept, name: undefined, sticking: typed, slot, voices, bars: null, ending: '', sides };
}

/** The slots that differ, changed by hand; nothing where their number differs. */
function editSlots(
  recipe: ClosedRecipe,
  exercise: Exercise,
  typed: readonly StickingSlot[],
): Retyped[] {
  const slots = lineWords(exercise).flatMap((word) => word.slots);
  if (slots.length !== typed.length) return [];
  const edits = slots.flatMap((slot, index) => {
    const to = typed[index];
    return to ? editsOfSlot(slot, to) : [];
  });
  return [
    {
      means: { kind: 'by-hand', notes: edits.length },
      recipe: editByHand(recipe, exercise, edits),
    },
  ];
}

function editsOfSlot({ at, says, strokes }: LineSlot, to: StickingSlot): readonly SeenEdit[] {
  if (says === saySlot(to)) return [];
  const wanted = limbsOfLetter(to.letter);
  const kept = strokes.filter(({ limb }) => wanted.includes(limb));
  const spare = strokes.filter(({ limb }) => !wanted.includes(limb));
  const missing = wanted.filter((limb) => !kept.some((one) => one.limb === limb));
  const [pattern] = strokes;
  const softer = says.startsWith('>') ? 'normal' : (pattern?.dynamic ?? 'normal');
  const dynamic = to.accent ? 'accent' : softer;
  const made = { at: pattern?.at ?? at, dynamic, ornament: to.ornament } as const;
  const edits: SeenEdit[] = kept.map((from) => ({
    from,
    to: { ...made, limb: from.limb, voice: from.voice },
  }));
  missing.forEach((limb, index) => {
    const from = spare[index] ?? null;
    edits.push({ from, to: { ...made, limb, voice: voiceFor(limb, to.letter, from) } });
  });
  return [...edits, ...spare.slice(missing.length).map((from) => ({ from, to: null }))];
}

/** A hand goes on where another hand played; a pedal has its own voice. */
function voiceFor(limb: Limb, letter: string, from: Stroke | null): VoiceId {
  if (!isHand(limb)) return limb === 'LF' && letter === 'F' ? 'hat-foot' : 'bass';
  return from && isHand(from.limb) ? from.voice : 'snare';
}

function retypeVoices(
  recipe: ClosedRecipe,
  exercise: Exercise,
  typed: string,
): Result<readonly Retyped[]> {
  const words = lineWords(exercise);
  const letters = typed.toUpperCase().split(' ');
  const read = letters.map(voicesOf);
  const wrong = letters.find((_, index) => read[index] === null);
  if (wrong !== undefined && looksSticking(typed)) {
    const played = { ...recipe, play: { content: typedSticking(typed) } };
    return ok([{ means: { kind: 'text', text: typed }, recipe: played }]);
  }
  const misfit = words.some((word, index) => !fits(word, read[index] ?? []));
  if (wrong !== undefined || letters.length !== words.length || misfit) {
    return fail({
      code: 'line-letters',
      path: [],
      letter: wrong ?? null,
      got: letters.length === words.length ? read.flat().length : letters.length,
      wanted: letters.length === words.length ? strokesIn(words) : words.length,
    });
  }
  const edits = words.flatMap((word, index) =>
    isSaid(word, letters[index] ?? '') ? [] : editsOfWord(word, read[index] ?? []),
  );
  return ok([
    {
      means: { kind: 'text', text: letters.join(' ') },
      recipe: editByHand(recipe, exercise, edits),
    },
  ]);
}

function strokesIn(words: readonly LineWord[]): number {
  return words.flatMap((word) => word.slots.flatMap((slot) => slot.strokes)).length;
}

function isSaid(word: LineWord, letters: string): boolean {
  return sayWord(word).toUpperCase() === letters;
}

/** Letters of voices in a row, the longest name first: `T1S` is high tom, snare. Null for any other. */
function voicesOf(letters: string): readonly VoiceId[] | null {
  const found: VoiceId[] = [];
  for (let rest = letters; rest !== '';) {
    const [next] = VOICES.filter(({ letter }) => rest.startsWith(letter.toUpperCase())).sort(
      (a, b) => b.letter.length - a.letter.length,
    );
    if (!next) return null;
    found.push(next.id);
    rest = rest.slice(next.letter.length);
  }
  return found;
}

/** A note alone takes any number of voices; one with what fills after it as many as there are. */
function fits(word: LineWord, voices: readonly VoiceId[]): boolean {
  return word.slots.length === 1 || strokesIn([word]) === voices.length;
}

function editsOfWord({ slots }: LineWord, voices: readonly VoiceId[]): readonly SeenEdit[] {
  const strokes = slots.flatMap((slot) => slot.strokes);
  const [head] = strokes;
  const added = voices.slice(strokes.length).flatMap((id): SeenEdit[] => {
    if (!head) return [];
    const { at, dynamic } = head;
    return [{ from: null, to: { at, dynamic, limb: usualLimb(id), voice: id, ornament: null } }];
  });
  const changed = strokes.flatMap((from, index): SeenEdit[] => {
    const id = voices[index];
    if (id === undefined) return [{ from, to: null }];
    if (id === from.voice) return [];
    const { at, dynamic, ornament = null } = from;
    const limb = voice(id).surface === voice(from.voice).surface ? from.limb : usualLimb(id);
    return [{ from, to: { at, dynamic, limb, voice: id, ornament } }];
  });
  return [...changed, ...added];
}
