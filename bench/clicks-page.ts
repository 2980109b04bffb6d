import { Player } from '@/audio/player';
import { sounderOf, type Sounder } from '@/audio/sounder';
import { LIMBS } from '@/core/kit';
import { must } from '@/core/issue';
import { eventsBetween, scoreOf } from '@/core/playing';
import { blankRecipe, expand, toggleOstinato } from '@/core/recipe';
import { bpm, steadyTempo, tempoFor, ticksToSeconds } from '@/core/time';

const SAMPLE_RATE = 48_000;
const BARS = 32;

/** Below this a sample counts as silence; a click begins at more than a tenth of full scale. */
const SILENCE = 1e-4;

/** Renders the clicks of a score through the app's own sounder and finds where each begins.
 * @returns for each click the samples by which it is off the ideal place */
async function offsets(beatsPerMinute: number): Promise<number[]> {
  const exercise = must(expand(toggleOstinato(blankRecipe(), 'rock-8ths')));
  const tempo = tempoFor(exercise.meter, bpm(beatsPerMinute));
  const score = scoreOf(exercise, { bars: BARS, countInBars: 0, muted: new Set(LIMBS) });
  const length = score.lengthTicks ?? 0;
  const seconds = ticksToSeconds(length, tempo) + 0.5;
  const context = new OfflineAudioContext(1, Math.ceil(seconds * SAMPLE_RATE), SAMPLE_RATE);
  const sounder = sounderOf(context);
  const ideal = eventsBetween(score, 0, length).map((event) => {
    const at = ticksToSeconds(event.at, tempo);
    sounder.sound(event, at);
    return at * SAMPLE_RATE;
  });
  const samples = (await context.startRendering()).getChannelData(0);
  return ideal.map((place) => {
    let at = Math.max(0, Math.floor(place) - 50);
    while (at < samples.length && Math.abs(samples[at] ?? 0) < SILENCE) at += 1;
    return at - place;
  });
}

/** Plays live while the page does nothing else for so long at a time, and finds how long before it was
 * due each click was planned. @returns seconds, by click; below 0 is late */
async function ahead(beatsPerMinute: number, blockMs: number, bars: number): Promise<number[]> {
  const exercise = must(expand(toggleOstinato(blankRecipe(), 'rock-8ths')));
  const tempo = tempoFor(exercise.meter, bpm(beatsPerMinute));
  const score = scoreOf(exercise, { bars, countInBars: 0, muted: new Set(LIMBS) });
  const context = new AudioContext();
  await context.resume();
  const live = sounderOf(context);
  const found: number[] = [];
  const sounder: Sounder = {
    ...live,
    sound(event, at) {
      found.push(at - context.currentTime);
      live.sound(event, at);
    },
  };
  const code = 'onmessage=({data})=>setInterval(()=>postMessage(null),data)';
  const player = new Player(sounder, (tick) => {
    const worker = new Worker(URL.createObjectURL(new Blob([code])));
    worker.onmessage = tick;
    worker.postMessage(25);
    return () => worker.terminate();
  });
  const blocking = setInterval(() => {
    const until = performance.now() + blockMs;
    while (performance.now() < until);
  }, blockMs + 60);
  await new Promise<void>((onOver) =>
    player.start([{ score, tempi: steadyTempo(tempo) }], { onOver }),
  );
  clearInterval(blocking);
  await context.close();
  return found;
}

Object.assign(window, { clickOffsets: offsets, clicksAhead: ahead });
