import { columnsOfBar } from '@/core/analysis';
import { STICKING_LETTERS, type StickingLetter, type TextureId, type VoiceId } from '@/core/kit';
import type { Dynamic, Ornament, Stroke } from '@/core/pattern';
import type { Exercise, SeenEdit } from '@/core/recipe';
import { slotTicks, wrap, type SubdivisionId } from '@/core/time';
import { rowsOf, strokeKey, type Cell, type RowKind } from '../marks';
import {
  clipOf,
  moveStrokes,
  paste,
  removeAll,
  setDynamic,
  setLimb,
  setOrnament,
  setTexture,
  setVoice,
  strokesAt,
  strokesWithin,
  toggleCell,
  type Clip,
} from './lane-edits';

/** Where somebody is who writes on the lanes. */
export interface LaneState {
  readonly grid: SubdivisionId;
  /** Rows that are there although nothing sounds in them yet. */
  readonly extraRows: readonly VoiceId[];
  readonly cursor: Cell | null;
  /** The other corner of a stretch that is being chosen. */
  readonly corner: Cell | null;
  /** Chosen strokes, by key. */
  readonly picked: ReadonlySet<string>;
  readonly clip: Clip | null;
  /** What the last stroke that was written took the place of. */
  readonly instead: VoiceId | null;
}

/** What is written on. */
export interface Scene {
  readonly exercise: Exercise;
  readonly kind: RowKind;
}

export type LaneCommand =
  | { readonly kind: 'dynamic'; readonly dynamic: Dynamic }
  | { readonly kind: 'ornament'; readonly ornament: Ornament }
  | { readonly kind: 'limb'; readonly letter: StickingLetter }
  | { readonly kind: 'voice'; readonly voice: VoiceId }
  | { readonly kind: 'texture'; readonly texture: TextureId | null }
  | { readonly kind: 'toggle' | 'remove' | 'copy' | 'paste' };

export type LaneAction =
  | LaneCommand
  | { readonly kind: 'grid'; readonly grid: SubdivisionId }
  | { readonly kind: 'row'; readonly voice: VoiceId }
  | { readonly kind: 'all' | 'none' | 'all-rows' }
  /** Columns to the right and rows down, from where the cursor is. */
  | { readonly kind: 'step'; readonly dx: number; readonly dy: number; readonly extend: boolean }
  | { readonly kind: 'carry'; readonly dx: number; readonly dy: number }
  | {
      readonly kind: 'drag';
      readonly from: Cell;
      readonly to: Cell;
      readonly shift: boolean;
      readonly mod: boolean;
    };

/** What an action leads to: where one is then, and what it does to the strokes. */
interface Done {
  readonly state: LaneState;
  readonly edits: readonly SeenEdit[];
}

const NOTHING: ReadonlySet<string> = new Set();

/** Rows to begin with where nothing sounds yet. */
const FIRST_ROWS: readonly VoiceId[] = ['hat', 'snare', 'bass'];

export function laneStart(exercise: Exercise): LaneState {
  return {
    grid: '16',
    extraRows: exercise.strokes.length === 0 ? FIRST_ROWS : [],
    cursor: null,
    corner: null,
    picked: NOTHING,
    clip: null,
    instead: null,
  };
}

/** The strokes that a command is about: the chosen ones, or those under the cursor. */
export function aboutOf({ picked, cursor }: LaneState, scene: Scene): readonly Stroke[] {
  const picks = scene.exercise.strokes.filter((stroke) => picked.has(strokeKey(stroke)));
  if (picks.length > 0) return picks;
  return cursor ? strokesAt(scene.exercise, cursor, scene.kind) : [];
}

/** What an action does; the exercise itself is changed by whoever takes the edits. */
export function laneAfter(before: LaneState, scene: Scene, action: LaneAction): Done {
  const state = before.instead === null ? before : { ...before, instead: null };
  const { exercise, kind } = scene;
  const { cursor, clip } = state;
  const about = aboutOf(state, scene);
  const stays = about.some((stroke) => state.picked.has(strokeKey(stroke)));
  switch (action.kind) {
    case 'grid':
      return at({ ...state, grid: action.grid });
    case 'row': {
      const others = state.extraRows.filter((one) => one !== action.voice);
      return at({ ...state, extraRows: [...others, action.voice] });
    }
    case 'all-rows':
      return at({ ...state, extraRows: exercise.kit.voices });
    case 'all':
      return at({ ...state, picked: keysOf(exercise.strokes) });
    case 'none':
      return at({ ...state, picked: NOTHING });
    case 'step':
      return at(stepped(state, scene, action));
    case 'carry':
      return carried(state, scene, about, action);
    case 'drag':
      return dragged(state, scene, action);
    case 'copy':
      return at({ ...state, clip: clipOf(about, kind) });
    case 'paste':
      return written(state, clip && cursor ? paste(exercise, clip, cursor, kind) : [], true);
    case 'toggle':
      return toggled(state, cursor ? toggleCell(exercise, cursor, kind) : []);
    case 'remove':
      return written(state, removeAll(about), false);
    case 'limb':
      return written(state, setLimb(about, STICKING_LETTERS[action.letter]), stays);
    case 'voice':
      return written(state, setVoice(about, action.voice), stays);
    case 'ornament':
      return written(state, setOrnament(about, action.ornament), stays);
    case 'texture':
      return written(state, setTexture(about, action.texture), stays);
    case 'dynamic': {
      if (about.length > 0) return written(state, setDynamic(about, action.dynamic), stays);
      const added = cursor ? toggleCell(exercise, cursor, kind) : [];
      return toggled(state, withDynamic(added, action.dynamic));
    }
  }
}

function at(state: LaneState): Done {
  return { state, edits: [] };
}

/** @param follow chosen strokes stay chosen where they go */
function written(state: LaneState, edits: readonly SeenEdit[], follow: boolean): Done {
  if (edits.length === 0) return at(state);
  const next = edits.flatMap(({ to }) => (to ? [`${to.at} ${to.limb} ${to.voice}`] : []));
  return { state: { ...state, picked: follow ? new Set(next) : NOTHING }, edits };
}

/** A cell that was written on or emptied. */
function toggled(state: LaneState, edits: readonly SeenEdit[]): Done {
  const [edit] = edits;
  const instead = edit?.from && edit.to ? edit.from.voice : null;
  return { state: { ...state, picked: NOTHING, instead }, edits };
}

function keysOf(strokes: readonly Stroke[]): ReadonlySet<string> {
  return new Set(strokes.map(strokeKey));
}

function rowsIn({ extraRows }: LaneState, { exercise, kind }: Scene) {
  return rowsOf(exercise, kind, extraRows);
}

/** Places of the columns, through all bars. */
function columnsIn({ grid }: LaneState, { exercise }: Scene): readonly number[] {
  return Array.from({ length: exercise.bars }, (_, bar) =>
    columnsOfBar(exercise, bar, slotTicks(grid)).map((place) => place + bar * exercise.barTicks),
  ).flat();
}

function stepped(
  state: LaneState,
  scene: Scene,
  { dx, dy, extend }: Extract<LaneAction, { kind: 'step' }>,
): LaneState {
  const rows = rowsIn(state, scene);
  const columns = columnsIn(state, scene);
  const { cursor, corner } = state;
  const [firstRow] = rows;
  if (!firstRow) return state;
  if (!cursor) {
    const first = { row: firstRow.key, at: columns[0] ?? 0 };
    return { ...state, cursor: first, corner: null, picked: NOTHING };
  }
  const column = columns.findLastIndex((place) => place <= cursor.at);
  const row = rows.findIndex((one) => one.key === cursor.row);
  const to: Cell = {
    row: rows[within(Math.max(0, row) + dy, rows.length)]?.key ?? firstRow.key,
    at: columns[within(Math.max(0, column) + dx, columns.length)] ?? cursor.at,
  };
  if (!extend) return { ...state, cursor: to, corner: null, picked: NOTHING };
  const from = corner ?? cursor;
  const picked = keysOf(strokesWithin(scene.exercise, rows, scene.kind, from, to));
  return { ...state, cursor: to, corner: from, picked };
}

function within(index: number, length: number): number {
  return Math.max(0, Math.min(length - 1, index));
}

function carried(
  state: LaneState,
  scene: Scene,
  about: readonly Stroke[],
  { dx, dy }: Extract<LaneAction, { kind: 'carry' }>,
): Done {
  const { exercise, kind } = scene;
  const { cursor } = state;
  if (!cursor || about.length === 0) return at(state);
  const rows = rowsIn(state, scene);
  const row = rows.findIndex((one) => one.key === cursor.row);
  const to = dy === 0 ? null : (rows[row + dy]?.key ?? null);
  if (dy !== 0 && to === null) return at(state);
  const by = dx * slotTicks(state.grid);
  const moved = { row: to ?? cursor.row, at: wrap(cursor.at + by, exercise.cycleTicks) };
  return written({ ...state, cursor: moved }, moveStrokes(exercise, about, by, to, kind), true);
}

/** A press that moves a stroke, draws a frame, chooses a stroke, or writes one. */
function dragged(
  state: LaneState,
  scene: Scene,
  { from, to, shift, mod }: Extract<LaneAction, { kind: 'drag' }>,
): Done {
  const { exercise, kind } = scene;
  const there = strokesAt(exercise, from, kind);
  const moved = from.at !== to.at || from.row !== to.row;
  if (moved && there.length > 0 && !shift) {
    const isPicked = (stroke: Stroke) => state.picked.has(strokeKey(stroke));
    const group = there.some(isPicked) ? exercise.strokes.filter(isPicked) : there;
    const row = from.row === to.row ? null : to.row;
    const edits = moveStrokes(exercise, group, to.at - from.at, row, kind);
    return written({ ...state, cursor: to }, edits, true);
  }
  if (moved || shift) {
    const start = shift ? (state.cursor ?? from) : from;
    const picked = keysOf(strokesWithin(exercise, rowsIn(state, scene), kind, start, to));
    return at({ ...state, cursor: to, corner: start, picked });
  }
  if (mod) {
    const picked = new Set(state.picked);
    for (const key of keysOf(there)) if (!picked.delete(key)) picked.add(key);
    return at({ ...state, cursor: to, picked });
  }
  const here = { ...state, cursor: to, corner: null };
  if (there.length > 0) return at({ ...here, picked: keysOf(there) });
  return toggled(here, toggleCell(exercise, to, kind));
}

/** What is added on an empty cell comes with its dynamic. */
function withDynamic(edits: readonly SeenEdit[], dynamic: Dynamic): readonly SeenEdit[] {
  return edits.map((one) => (one.to ? { ...one, to: { ...one.to, dynamic } } : one));
}
