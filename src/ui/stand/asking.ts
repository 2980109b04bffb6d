import { beatPlaces } from '@/core/ladder';
import { isHand, LIMBS, type Limb } from '@/core/kit';
import { SUFFERINGS, type Posted, type SufferingId, type Verdict } from '@/core/log';
import { expand } from '@/core/recipe';
import { itemKey, type EntryId, type StandItem } from '@/core/studio';
import { advance } from './going-on';
import { at, itemOf, type OpenQuestion, type Question, type Stand, type StandStage } from './round';

/** More beats than this cannot be told apart with a stick in the hand. */
const MOST_BEATS = 16;

/** After an answer about the first of them, null for none: where it broke, what suffered, or on. The questions
 * are about what was played, whatever comes next. */
export function afterVerdict(before: Stand, verdict: Verdict | null): Stand {
  const [first, ...judging] = before.judging;
  if (!first) return before;
  const { id, item: played, bpm, stopped } = first;
  const key = itemKey(played);
  const judged = [...before.judged, { tryId: id, key, verdict, stopped, bpm }];
  const stand: Stand = { ...before, judging, judged, played };
  if (verdict === 'clean') return advance({ ...stand, toPlay: 0 });
  if (verdict === null) return advance({ ...stand, notice: stopped ? null : 'open' });
  const beats = beatsOf(played);
  if (beats < 2 || beats > MOST_BEATS) return askSuffered(stand, id);
  return at(stand, askBroke(id, beats));
}

function askBroke(tryId: EntryId, beats: number): StandStage {
  const options = [null, ...Array.from({ length: beats }, (_, beat) => beat)];
  return { kind: 'broke', tryId, options, cursor: null };
}

/** What went wrong; whether what was to be watched for happened, where there was such a thing. */
export function askSuffered(stand: Stand, tryId: EntryId): Stand {
  const watched = (stand.played?.cues.length ?? 0) > 0;
  const ids = SUFFERINGS.map((one) => one.id).filter((id) => watched || id !== 'cue');
  return at(stand, { kind: 'suffered', tryId, options: [null, ...ids], cursor: null });
}

/** After what suffered was chosen: which limb, where that tells more. */
export function afterSuffered(
  stand: Stand,
  { tryId }: Extract<StandStage, { kind: 'suffered' }>,
  what: SufferingId | null,
): Stand {
  if (what === null) return advance(stand);
  return asksLimb(what) ? at(stand, askLimb(stand, tryId, what)) : stand;
}

function askLimb(stand: Stand, tryId: EntryId, what: SufferingId): StandStage {
  const limbs = limbsOf(stand.played ?? itemOf(stand));
  const hands = SUFFERINGS.some((one) => one.id === what && one.limb === 'hands');
  const options = [null, ...(hands ? limbs.filter(isHand) : limbs)];
  return { kind: 'limb', tryId, what, options, cursor: null };
}

/** Whether an answer to “what suffered” asks which limb before it is stored. */
export function asksLimb(what: SufferingId): boolean {
  return SUFFERINGS.some((one) => one.id === what && one.limb !== false);
}

/** After an entry about what was just played, if that was asked. */
export function afterAnswer(stand: Stand, entry: Posted): Stand {
  const { stage } = stand;
  switch (entry.kind) {
    case 'judged': {
      const asked = stage.kind === 'verdict' && stand.judging[0]?.id === entry.about;
      return asked ? afterVerdict(stand, entry.body.verdict) : stand;
    }
    case 'broke':
      return stage.kind === 'broke' ? askSuffered(stand, entry.about) : stand;
    case 'suffered': {
      if (stage.kind !== 'suffered' && stage.kind !== 'limb') return stand;
      const { limb } = entry.body;
      const key = stand.played && itemKey(stand.played);
      return advance(key && limb ? { ...stand, watch: { key, limb } } : stand);
    }
    default:
      return stand;
  }
}

/** The pedal’s next answer. */
export function stepped<S extends Extract<StandStage, Question<unknown>>>(stage: S): S {
  const count = stage.options.length;
  const cursor = stage.cursor === null ? 1 % count : (stage.cursor + 1) % count;
  return { ...stage, cursor };
}

/** What is asked about a try past its verdict, as it is kept; null where nothing is. */
export function openQuestion({ stage, played }: Stand): OpenQuestion | null {
  if (!played || !('tryId' in stage)) return null;
  const what = stage.kind === 'limb' ? stage.what : null;
  return { kind: stage.kind, tryId: stage.tryId, key: itemKey(played), what };
}

/** The question that was open, asked again. */
export function askOpen(stand: Stand, played: StandItem, open: OpenQuestion): Stand {
  const here = { ...stand, played };
  const { kind, tryId, what } = open;
  if (kind === 'broke') return at(here, askBroke(tryId, beatsOf(played)));
  if (kind === 'limb' && what) return at(here, askLimb(here, tryId, what));
  return askSuffered(here, tryId);
}

/** The felt beats of what an item plays; none where it cannot be played. */
function beatsOf({ plays }: Pick<StandItem, 'plays'>): number {
  const exercise = expand(plays);
  return exercise.ok ? beatPlaces(exercise.value).length : 0;
}

/** The limbs that play in an item. */
function limbsOf({ plays }: StandItem): readonly Limb[] {
  const exercise = expand(plays);
  if (!exercise.ok) return [];
  return LIMBS.filter((limb) => exercise.value.strokes.some((stroke) => stroke.limb === limb));
}
