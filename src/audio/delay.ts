import { MOST_DELAY_MS } from '@/core/playing';

/** By how much sound comes late on this device besides what the browser knows of; kept by the browser. */
const KEPT = 'mivvel sound';

let known: number | null = null;

/** Ms; 0 where nothing was set. */
export function soundDelayMs(): number {
  if (known !== null) return known;
  let kept = 0;
  try {
    kept = Number(localStorage.getItem(KEPT));
  } catch {
    // A browser without storage begins at 0.
  }
  known = inRange(kept);
  return known;
}

/** @returns what was set: whole ms within what is possible */
export function setSoundDelayMs(ms: number): number {
  known = inRange(ms);
  try {
    localStorage.setItem(KEPT, String(known));
  } catch {
    // It stays with the page.
  }
  return known;
}

function inRange(ms: number): number {
  return Number.isFinite(ms) ? Math.round(Math.min(MOST_DELAY_MS, Math.max(0, ms))) : 0;
}
