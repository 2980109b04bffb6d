import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { loadRecordings, renderWav, type Part } from '@/audio';
import type { Piece } from '@/core/format';
import { scoreOf } from '@/core/playing';
import { steadyTempo, tempoFor } from '@/core/time';

const SOUNDS = fileURLToPath(new URL('../../public/sounds', import.meta.url));

/** Exercises one after the other as a WAV file, each at its tempo after a bar of count-in, with the click.
 * @param times how often each is played through, >= 1 */
export async function wavOfPieces(pieces: readonly Piece[], times: number): Promise<Uint8Array> {
  // What browsers have and Node has not; it sounds as it does there.
  Object.assign(globalThis, await import('node-web-audio-api'));
  const parts = pieces.map(({ exercise, bpm }): Part => {
    const score = scoreOf(exercise, { bars: times * exercise.bars });
    return { score, tempi: steadyTempo(tempoFor(exercise.meter, bpm)) };
  });
  const file = await renderWav(parts, false, (context) =>
    loadRecordings(context, async (id) => {
      const { buffer, byteOffset, byteLength } = readFileSync(join(SOUNDS, `${id}.flac`));
      return (buffer as ArrayBuffer).slice(byteOffset, byteOffset + byteLength);
    }),
  );
  return new Uint8Array(await file.arrayBuffer());
}
