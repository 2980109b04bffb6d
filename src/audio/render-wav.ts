import { eventsBetween } from '@/core/playing';
import { secondsAt } from '@/core/time';
import type { Part } from './player';
import { loadRecordings } from './recordings';
import { sounderOf } from './sounder';

const SAMPLE_RATE = 44_100;

/** What rings on after the last bar, in seconds. */
const TAIL = 2;

/** Exercises as they are played, one after the other, each with its count-in, as a WAV file: 16 bits, 44.1 kHz.
 * @param parts each of a length; one that loops has none (a caller's bug)
 * @param clickApart drums on the left channel, the click on the right; else one channel
 * @param load the recorded drums, for a context
 * @throws RangeError on a part without an end */
export async function renderWav(
  parts: readonly Part[],
  clickApart: boolean,
  load: typeof loadRecordings = loadRecordings,
): Promise<Blob> {
  let seconds = 0;
  const placed = parts.map(({ score, tempi }) => {
    const { lengthTicks, countInBars, exercise } = score;
    if (lengthTicks === null) throw new RangeError('what loops has no end');
    const from = -countInBars * exercise.barTicks;
    const downbeat = seconds - secondsAt(tempi, from);
    seconds = downbeat + secondsAt(tempi, lengthTicks);
    return { score, tempi, from, to: lengthTicks, downbeat };
  });
  const channels = clickApart ? 2 : 1;
  const samples = Math.ceil((seconds + TAIL) * SAMPLE_RATE);
  const context = new OfflineAudioContext(channels, samples, SAMPLE_RATE);
  const merger = clickApart ? new ChannelMergerNode(context, { numberOfInputs: 2 }) : null;
  const click = merger && new GainNode(context);
  const sounder = sounderOf(context, await load(context), click ?? undefined);
  if (merger && click) {
    sounder.drums.connect(merger, 0, 0);
    click.connect(merger, 0, 1);
    merger.connect(context.destination);
  }
  for (const { score, tempi, from, to, downbeat } of placed) {
    for (const event of eventsBetween(score, from, to)) {
      sounder.sound(event, downbeat + secondsAt(tempi, event.at));
    }
  }
  return wavOf(await context.startRendering());
}

/** RIFF WAVE, PCM of 16 bits, little-endian. */
function wavOf(buffer: AudioBuffer): Blob {
  const { numberOfChannels: channels, length, sampleRate } = buffer;
  const bytes = length * channels * 2;
  const view = new DataView(new ArrayBuffer(44 + bytes));
  const text = (at: number, letters: string) =>
    [...letters].forEach((letter, index) => view.setUint8(at + index, letter.charCodeAt(0)));
  text(0, 'RIFF');
  view.setUint32(4, 36 + bytes, true);
  text(8, 'WAVEfmt ');
  view.setUint32(16, 16, true);
  view.setUint16(20, 1, true);
  view.setUint16(22, channels, true);
  view.setUint32(24, sampleRate, true);
  view.setUint32(28, sampleRate * channels * 2, true);
  view.setUint16(32, channels * 2, true);
  view.setUint16(34, 16, true);
  text(36, 'data');
  view.setUint32(40, bytes, true);
  for (let channel = 0; channel < channels; channel += 1) {
    buffer.getChannelData(channel).forEach((value, n) => {
      const whole = Math.round(Math.max(-1, Math.min(1, value)) * 32_767);
      view.setInt16(44 + (n * channels + channel) * 2, whole, true);
    });
  }
  return new Blob([view], { type: 'audio/wav' });
}
