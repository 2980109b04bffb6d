import { loadLate } from '../base';

/** A sound file of what is heard; no first view waits for it. */
export const WavPop = loadLate(() => import('./wav-pop').then((file) => file.WavPop));

/** By how much sound comes late; no first view waits for it. */
export const TapDelay = loadLate(() => import('./tap-delay').then((file) => file.TapDelay));
