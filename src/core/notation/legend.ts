import { usualLimb, VOICE_IDS, type VoiceId } from '../kit';
import { quarters, tick } from '../time';
import type { Exercise } from '../recipe';
import type { WrittenSign } from './notate';
import { shapeVoice, type ColumnShape } from './staff-voice';

/** A voice as a quarter note on the staff, for a legend: across from the middle of the note. */
export function legendSign(voice: VoiceId): Pick<ColumnShape, 'glyphs' | 'strokes'> {
  const limb = usualLimb(voice);
  const isFoot = limb === 'RF' || limb === 'LF';
  const sign: WrittenSign = {
    at: tick(0),
    ticks: quarters(1),
    base: 4,
    dots: 0,
    strokes: [
      { at: tick(0), limb, voice, dynamic: 'normal', from: { source: 'added', by: 'hand' } },
    ],
    beat: 0,
    tuplet: null,
  };
  const [column] = shapeVoice([sign], !isFoot, () => 0).columns;
  return { glyphs: column?.glyphs ?? [], strokes: column?.strokes ?? [] };
}

/** The voices that an exercise plays, from the top of the staff down. */
export function voicesPlayed({ strokes }: Pick<Exercise, 'strokes'>): readonly VoiceId[] {
  const played = new Set<string>(strokes.map(({ voice }) => voice));
  return VOICE_IDS.filter((id) => played.has(id));
}
