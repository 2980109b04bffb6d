import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { loadRecordings, renderWav, type Part } from '@/audio';
import type { Piece } from '@/core/format';
import { scoreOf } from '@/core/playing';
import { secondsAt, steadyTempo, tempoFor } from '@/core/time';
import { Missing } from './io';
import { SAY } from './say';

const SOUNDS = fileURLToPath(new URL('../../public/sounds', import.meta.url));

/** Longest file, in minutes: all of it is held at once. */
const MOST_MINUTES = 60;

/** Exercises one after the other as a WAV file, each at its tempo after a bar of count-in, with the click.
 * @param times how often each is played through, >= 1
 * @throws Missing where it would last too long */
export async function wavOfPieces(pieces: readonly Piece[], times: number): Promise<Uint8Array> {
  const parts = pieces.map(({ exercise, bpm }): Part => {
    const score = scoreOf(exercise, { bars: times * exercise.bars });
    return { score, tempi: steadyTempo(tempoFor(exercise.meter, bpm)) };
  });
  const minutes = parts.reduce((sum, { score, tempi }) => {
    const { exercise, lengthTicks, countInBars } = score;
    return sum + secondsAt(tempi, (lengthTicks ?? 0) + countInBars * exercise.barTicks) / 60;
  }, 0);
  if (minutes > MOST_MINUTES) {
    const facts = { minutes: Math.ceil(minutes), most: MOST_MINUTES };
    throw new Missing(SAY.t('commandLine.tooLong', facts));
  }
  // What browsers have and Node has not; it sounds as it does there.
  Object.assign(globalThis, await import('node-web-audio-api'));
  const file = await renderWav(parts, false, (context) =>
    loadRecordings(context, async (id) => {
      const { buffer, byteOffset, byteLength } = readFileSync(join(SOUNDS, `${id}.flac`));
      return (buffer as ArrayBuffer).slice(byteOffset, byteOffset + byteLength);
    }),
  );
  return new Uint8Array(await file.arrayBuffer());
}
