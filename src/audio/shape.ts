/** Mono samples from -1 to 1. */
export type Samples = Float32Array<ArrayBuffer>;

/** Read at another speed: above 1 is higher and shorter. */
export function pitched(samples: Samples, factor: number): Samples {
  const out = new Float32Array(Math.floor(samples.length / factor));
  for (let n = 0; n < out.length; n += 1) {
    const place = n * factor;
    const low = Math.floor(place);
    const from = samples[low] ?? 0;
    out[n] = from + ((samples[low + 1] ?? 0) - from) * (place - low);
  }
  return out;
}

/** Fades to nothing. @param seconds until it is down to a thousandth; what follows is cut */
export function faded(samples: Samples, seconds: number, sampleRate: number): Samples {
  const out = samples.slice(0, Math.ceil(seconds * sampleRate));
  const fall = Math.log(1000) / (seconds * sampleRate);
  for (let n = 0; n < out.length; n += 1) out[n] = (out[n] ?? 0) * Math.exp(-fall * n);
  return out;
}

/** One pole: 6 dB an octave above `hz` away. */
export function lowPassed(samples: Samples, hz: number, sampleRate: number): Samples {
  const share = 1 - Math.exp((-2 * Math.PI * hz) / sampleRate);
  const out = new Float32Array(samples.length);
  let held = 0;
  for (let n = 0; n < out.length; n += 1) {
    held += share * ((samples[n] ?? 0) - held);
    out[n] = held;
  }
  return out;
}

/** One pole: 6 dB an octave below `hz` away. */
export function highPassed(samples: Samples, hz: number, sampleRate: number): Samples {
  const low = lowPassed(samples, hz, sampleRate);
  return samples.map((value, n) => value - (low[n] ?? 0));
}

/** Both at once. @param share of the second, 1 is as loud as it is */
export function mixed(one: Samples, other: Samples, share: number): Samples {
  const out = new Float32Array(Math.max(one.length, other.length));
  for (let n = 0; n < out.length; n += 1) out[n] = (one[n] ?? 0) + share * (other[n] ?? 0);
  return out;
}

/** What lies before a sound begins is cut, so that a stroke sounds when it is due. */
export function fromOnset(samples: Samples): Samples {
  const quiet = 0.03 * peakOf(samples);
  const begins = samples.findIndex((value) => Math.abs(value) > quiet);
  return begins <= 0 ? samples : samples.slice(begins);
}

export function peakOf(samples: Samples): number {
  let peak = 0;
  for (const value of samples) peak = Math.max(peak, Math.abs(value));
  return peak;
}

/** Seconds in which a stroke is as loud as it is felt to be; an estimate. */
const HEARD_SECONDS = 0.08;

/** Loudness of a stroke: its power over the first 80 ms, in decibels of full scale. */
export function loudnessDb(samples: Samples, sampleRate: number): number {
  const count = Math.round(HEARD_SECONDS * sampleRate);
  let sum = 0;
  for (let n = 0; n < count; n += 1) sum += (samples[n] ?? 0) ** 2;
  return 10 * Math.log10(sum / count);
}

/** As loud as is asked, as far as full scale allows. */
export function levelled(samples: Samples, db: number, sampleRate: number): Samples {
  const wanted = 10 ** ((db - loudnessDb(samples, sampleRate)) / 20);
  const gain = Math.min(wanted, 1 / peakOf(samples));
  return samples.map((value) => value * gain);
}
