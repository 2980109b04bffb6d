import {
  isHand,
  mirrorLimb,
  usualLimb,
  voice as voiceOf,
  VOICES,
  type Limb,
  type TextureId,
  type VoiceId,
} from '@/core/kit';
import type { Dynamic, Ornament, Stroke } from '@/core/pattern';
import type { Exercise, SeenEdit } from '@/core/recipe';
import { tick, wrap } from '@/core/time';
import { rowKey, type Cell, type Row, type RowKind } from '../marks';

/** Strokes that were copied, their places counted from the first of them. */
export interface Clip {
  readonly strokes: readonly Stroke[];
  readonly rows: RowKind;
}

/** What a row plays: its voice by the limb that plays it most, or its limb on what it plays most. */
export function assignmentOf(
  exercise: Exercise,
  row: Row['key'],
  kind: RowKind,
): { limb: Limb; voice: VoiceId } {
  const mine = exercise.strokes.find((stroke) => rowKey(stroke, kind) === row);
  if (kind === 'voices') {
    const voice = row as VoiceId;
    return { voice, limb: mine?.limb ?? usualLimb(voice) };
  }
  const limb = row as Limb;
  const usual = VOICES.find(({ id }) => usualLimb(id) === limb)?.id ?? 'snare';
  return { limb, voice: mine?.voice ?? usual };
}

/** The strokes of a cell. */
export function strokesAt(exercise: Exercise, cell: Cell, kind: RowKind): readonly Stroke[] {
  return exercise.strokes.filter(
    (stroke) => stroke.at === cell.at && rowKey(stroke, kind) === cell.row,
  );
}

/** The strokes within two corners. */
export function strokesWithin(
  exercise: Exercise,
  rows: readonly Row[],
  kind: RowKind,
  from: Cell,
  to: Cell,
): readonly Stroke[] {
  const index = (key: Row['key']) => rows.findIndex((row) => row.key === key);
  const [top, bottom] = [index(from.row), index(to.row)].sort((a, b) => a - b);
  const [first, last] = [from.at, to.at].sort((a, b) => a - b);
  return exercise.strokes.filter((stroke) => {
    const row = index(rowKey(stroke, kind));
    return (
      row >= (top ?? 0) &&
      row <= (bottom ?? 0) &&
      stroke.at >= (first ?? 0) &&
      stroke.at <= (last ?? 0)
    );
  });
}

/** Adds a stroke on an empty cell, takes away what is on a taken one. On a row of voices a stroke takes the
 * place of what cannot be played with it: what lies on the same surface, as the closed hi-hat under an open
 * one, or, where both hands are taken, a stroke of one of them. */
export function toggleCell(exercise: Exercise, cell: Cell, kind: RowKind): readonly SeenEdit[] {
  const there = strokesAt(exercise, cell, kind);
  if (there.length > 0) return there.map((from) => ({ from, to: null }));
  const part = assignmentOf(exercise, cell.row, kind);
  const beside = exercise.strokes.filter(({ at }) => at === cell.at);
  const limb = kind === 'voices' ? freeLimb(beside, part.limb) : part.limb;
  const rival = kind === 'voices' ? rivalOf(beside, part.voice, limb) : undefined;
  if (rival) return [changed(rival, { voice: part.voice })];
  const played = { ...part, limb: limb ?? part.limb };
  return [{ from: null, to: { at: cell.at, ...played, dynamic: 'normal', ornament: null } }];
}

/** The limb that is wanted, or for a hand the other one; null where none is free. */
function freeLimb(beside: readonly Stroke[], wanted: Limb): Limb | null {
  const limbs = isHand(wanted) ? ([wanted, mirrorLimb(wanted)] as const) : [wanted];
  return limbs.find((limb) => beside.every((stroke) => stroke.limb !== limb)) ?? null;
}

/** The stroke that gives way to one on a voice. */
function rivalOf(beside: readonly Stroke[], voice: VoiceId, free: Limb | null): Stroke | undefined {
  const struck = beside.filter(({ limb }) => isHand(limb) === isHand(usualLimb(voice)));
  const { surface, head } = voiceOf(voice);
  const on = struck.map((stroke) => ({ stroke, ...voiceOf(stroke.voice) }));
  const same = on.find((one) => one.surface === surface);
  if (same || free !== null) return same?.stroke;
  return (on.find((one) => one.head === head) ?? on[0])?.stroke;
}

type StrokeChange = Partial<Omit<Stroke, 'ornament' | 'texture'>> & {
  readonly ornament?: Ornament | undefined;
  readonly texture?: TextureId | undefined;
};

function changed(from: Stroke, change: StrokeChange): SeenEdit {
  const { at, limb, voice, dynamic, texture } = { ...from, ...change };
  const ornament = 'ornament' in change ? (change.ornament ?? null) : (from.ornament ?? null);
  return { from, to: { at, limb, voice, dynamic, ornament, texture } };
}

/** A dynamic for all; where all have it already, they become normal again. */
export function setDynamic(strokes: readonly Stroke[], dynamic: Dynamic): readonly SeenEdit[] {
  const all = strokes.every((stroke) => stroke.dynamic === dynamic);
  return strokes.map((from) => changed(from, { dynamic: all ? 'normal' : dynamic }));
}

/** An ornament for all; where all have it already, it goes. */
export function setOrnament(strokes: readonly Stroke[], ornament: Ornament): readonly SeenEdit[] {
  const all = strokes.every((stroke) => stroke.ornament === ornament);
  return strokes.map((from) => changed(from, { ornament: all ? undefined : ornament }));
}

/** How all are made; null is the usual way. */
export function setTexture(
  strokes: readonly Stroke[],
  texture: TextureId | null,
): readonly SeenEdit[] {
  return strokes.map((from) => changed(from, { texture: texture ?? undefined }));
}

export function setVoice(strokes: readonly Stroke[], voice: VoiceId): readonly SeenEdit[] {
  return strokes.map((from) => changed(from, { voice }));
}

export function setLimb(strokes: readonly Stroke[], limb: Limb): readonly SeenEdit[] {
  return strokes.map((from) => changed(from, { limb }));
}

export function removeAll(strokes: readonly Stroke[]): readonly SeenEdit[] {
  return strokes.map((from) => ({ from, to: null }));
}

/** Moves strokes in time, around the cycle, and to another row. What lies where they land gives
 * way.
 * @param row where they go; null keeps their rows */
export function moveStrokes(
  exercise: Exercise,
  strokes: readonly Stroke[],
  ticks: number,
  row: Row['key'] | null,
  kind: RowKind,
): readonly SeenEdit[] {
  const moved = strokes.map((from) => {
    const at = tick(wrap(from.at + ticks, exercise.cycleTicks));
    if (row === null) return changed(from, { at });
    return changed(
      from,
      kind === 'voices' ? { at, voice: row as VoiceId } : { at, limb: row as Limb },
    );
  });
  return [...clearFor(exercise, moved, strokes), ...moved];
}

/** Pastes where the cursor stands: strokes of one row onto its row, strokes of several onto their
 * own. */
export function paste(
  exercise: Exercise,
  clip: Clip,
  cell: Cell,
  kind: RowKind,
): readonly SeenEdit[] {
  const rows = new Set(clip.strokes.map((stroke) => rowKey(stroke, kind)));
  const onto = rows.size === 1 ? assignmentOf(exercise, cell.row, kind) : null;
  const pasted = clip.strokes.map((stroke): SeenEdit => {
    const at = wrap(cell.at + stroke.at, exercise.cycleTicks);
    const { limb, voice } = onto ?? stroke;
    const { dynamic, ornament = null, texture } = stroke;
    return { from: null, to: { at, limb, voice, dynamic, ornament, texture } };
  });
  return [...clearFor(exercise, pasted, []), ...pasted];
}

/** Takes away what lies where edited strokes land, unless it moves away itself. */
function clearFor(
  exercise: Exercise,
  edits: readonly SeenEdit[],
  moving: readonly Stroke[],
): readonly SeenEdit[] {
  const landing = new Set(
    edits.flatMap(({ to }) => (to ? [`${to.at} ${to.limb} ${to.voice}`] : [])),
  );
  return exercise.strokes
    .filter((stroke) => landing.has(`${stroke.at} ${stroke.limb} ${stroke.voice}`))
    .filter((stroke) => !moving.includes(stroke))
    .map((from) => ({ from, to: null }));
}

/** A clip of strokes, counted from the first. */
export function clipOf(strokes: readonly Stroke[], rows: RowKind): Clip | null {
  const [first] = [...strokes].sort((a, b) => a.at - b.at);
  if (!first) return null;
  return { rows, strokes: strokes.map((one) => ({ ...one, at: tick(one.at - first.at) })) };
}
