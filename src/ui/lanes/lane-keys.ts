import { STICKING_LETTERS, type StickingLetter } from '@/core/kit';
import type { Dynamic, Ornament } from '@/core/pattern';
import type { LaneAction } from './lane-editor';

export const DYNAMIC_KEYS: Readonly<Record<string, Dynamic>> = {
  a: 'accent',
  g: 'ghost',
  n: 'normal',
};

export const ORNAMENT_KEYS: Readonly<Record<string, Ornament>> = {
  m: 'flam',
  d: 'drag',
  u: 'ruff',
  U: 'ruff4',
  i: 'diddle',
  o: 'roll',
  z: 'buzz',
};

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

const WITH_MOD: Readonly<Record<string, LaneAction>> = {
  a: { kind: 'all' },
  c: { kind: 'copy' },
  v: { kind: 'paste' },
};

const ALONE: Readonly<Record<string, LaneAction>> = {
  Enter: { kind: 'toggle' },
  x: { kind: 'toggle' },
  Delete: { kind: 'remove' },
  Backspace: { kind: 'remove' },
};

/** A key that is pressed on the lanes. `mod` is Control, or the command key. */
export interface LaneKey {
  readonly key: string;
  readonly mod: boolean;
  readonly alt: boolean;
  readonly shift: boolean;
}

/** What a key does there; null for one that the lanes leave to the page. */
export function actionOf({ key, mod, alt, shift }: LaneKey): LaneAction | null {
  const [dx, dy] = ARROWS[key] ?? [];
  if (dx !== undefined && dy !== undefined) {
    return alt ? { kind: 'carry', dx, dy } : { kind: 'step', dx, dy, extend: shift };
  }
  if (key === 'Escape') return { kind: 'none' };
  if (mod) return (key === 'a' || !alt ? WITH_MOD[key] : undefined) ?? null;
  if (alt) return null;
  const alone = ALONE[key];
  if (alone) return alone;
  const dynamic = DYNAMIC_KEYS[key];
  if (dynamic) return { kind: 'dynamic', dynamic };
  const ornament = ORNAMENT_KEYS[key];
  if (ornament) return { kind: 'ornament', ornament };
  const letter = key.toUpperCase();
  return isLetter(letter) ? { kind: 'limb', letter } : null;
}

function isLetter(letter: string): letter is StickingLetter {
  return letter in STICKING_LETTERS;
}
