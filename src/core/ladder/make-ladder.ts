import { fail, ok, type Issue, type Path, type Result } from '../issue';
import { FASTEST, parseBpm, SLOWEST } from '../time';
import { rungsOf, type LadderKind } from './ladder';
import type { Ladder } from './ladder-schema';
import type { StageWay } from './stage-schema';
import { MOST_RUNGS } from './data';

/** A ladder as it stands in the fields of a form; each kind reads the fields it has. */
export interface TypedLadder {
  readonly kind: LadderKind;
  readonly start: string;
  readonly target: string;
  /** Bpm, or percent, or minutes, by kind. */
  readonly step: string;
  readonly slow: string;
  readonly every: string;
  readonly list: string;
  /** Kept as they are; stages are made elsewhere. */
  readonly stages: Extract<Ladder, { kind: 'stages' }>['stages'];
}

export const EMPTY_LADDER: TypedLadder = {
  kind: 'fixed',
  start: '60',
  target: '100',
  step: '5',
  slow: '60',
  every: '4',
  list: '',
  stages: [],
};

/** The fields that a ladder fills; the others keep what suits another kind. */
export function typeLadder(ladder: Ladder): TypedLadder {
  const rungs = rungsOf(ladder);
  const start = String(rungs[0]?.bpm ?? 60);
  const target = String(rungs.at(-1)?.bpm ?? 100);
  const tempi = rungs.map((rung) => rung.bpm);
  const list =
    ladder.kind === 'stages' ? '' : tempi.filter((one, nth) => one !== tempi[nth - 1]).join(' ');
  const base = { ...EMPTY_LADDER, kind: ladder.kind, start, target, slow: start, list };
  switch (ladder.kind) {
    case 'fixed':
    case 'two-up':
      return { ...base, step: String(ladder.step) };
    case 'percent':
      return { ...base, step: String(ladder.percent) };
    case 'alternate':
      return { ...base, slow: start, start: String(ladder.start), step: String(ladder.step) };
    case 'hold':
      return {
        ...base,
        slow: String(ladder.bpm),
        start: String(ladder.from),
        target: String(ladder.to),
        step: String(ladder.by),
      };
    case 'list':
      return { ...base, list: ladder.tempi.join(' ') };
    case 'ramp':
      return {
        ...base,
        start: String(ladder.start),
        target: String(ladder.target),
        step: String(ladder.step),
        every: String(ladder.every),
      };
    case 'stages':
      return { ...base, slow: String(ladder.bpm), stages: ladder.stages };
  }
}

/** Checks what was typed.
 * @param path where the fields lie; issues add the field's name
 * @returns issues `tempo`, `ladder-step-zero`, `ladder-step-away`, `ladder-number`, `ladder-empty`,
 * `ladder-long` */
export function makeLadder(typed: TypedLadder, path: Path = ['ladder']): Result<Ladder> {
  const read = new Reading(typed, path);
  const ladder = read.ladder();
  if (read.issues.length > 0) return fail(...read.issues);
  const count = countRungs(ladder);
  if (count > MOST_RUNGS) {
    const at = [...path, 'step'];
    return fail({ code: 'ladder-long', path: at, rungs: Math.ceil(count), most: MOST_RUNGS });
  }
  return ok(ladder);
}

/** Rungs without making them: a step of a millionth is a typing slip that must not hang. */
function countRungs(ladder: Ladder): number {
  if (ladder.kind === 'list') return ladder.tempi.length;
  if (ladder.kind === 'stages') {
    return ladder.stages.reduce((sum, { way }) => sum + (way ? stepsOf(way) + 1 : 1), 0);
  }
  if (ladder.kind === 'percent') {
    return Math.log(ladder.target / ladder.start) / Math.log(1 + ladder.percent / 100) + 1;
  }
  if (ladder.kind === 'hold') return (ladder.to - ladder.from) / ladder.by + 1;
  const steps = stepsOf(ladder) + 1;
  return ladder.kind === 'two-up' ? 3 * steps : ladder.kind === 'alternate' ? 2 * steps : steps;
}

function stepsOf({ start, target, step }: StageWay): number {
  return Math.abs((target - start) / step);
}

/** Reads a tempo, or from which to which, by 5 or by a third number; nothing is no way of its own.
 * @returns undefined for what cannot be read
 * @example readWay('60 80 10') // => { start: 60, target: 80, step: 10 } */
export function readWay(text: string): StageWay | null | undefined {
  const numbers = text
    .split(/[^\d.]+/)
    .filter(Boolean)
    .map(Number);
  const [start, target = start, by = 5] = numbers;
  if (start === undefined) return text.trim() === '' ? null : undefined;
  const tempi = [start, target ?? start].every((one) => one >= SLOWEST && one <= FASTEST);
  if (!tempi || target === undefined || !(by > 0) || numbers.length > 3) return undefined;
  const way = { start, target, step: target < start ? -by : by };
  return stepsOf(way) < MOST_RUNGS ? way : undefined;
}

/** The reverse of `readWay`. @example writeWay({ start: 60, target: 80, step: 5 }) // => '60 → 80' */
export function writeWay({ start, target, step }: StageWay): string {
  if (start === target) return String(start);
  const by = Math.abs(step);
  return by === 5 ? `${start} → ${target}` : `${start} → ${target} / ${by}`;
}

/** Reads field by field and gathers what is wrong, all at once. */
class Reading {
  readonly issues: Issue[] = [];

  constructor(
    private readonly typed: TypedLadder,
    private readonly path: Path,
  ) {}

  ladder(): Ladder {
    const { kind } = this.typed;
    switch (kind) {
      case 'fixed':
      case 'two-up':
        return { kind, ...this.way() };
      case 'percent': {
        const { start, target, step } = this.way();
        return { kind, start, target, percent: step };
      }
      case 'alternate':
        return { kind, slow: this.tempo('slow'), ...this.way() };
      case 'ramp':
        return { kind, ...this.way(), every: this.number('every', 1, 64, 1) };
      case 'list':
        return { kind, tempi: this.list() };
      case 'hold': {
        const from = this.number('start', 0.5, 120, 0.5);
        const to = this.number('target', 0.5, 120, 0.5);
        const by = this.number('step', 0.5, 120, 0.5);
        this.leads(from, to, by);
        return { kind, bpm: this.tempo('slow'), from, to, by };
      }
      case 'stages': {
        const bpm = this.tempo('slow');
        if (this.typed.stages.length === 0)
          this.add({ code: 'ladder-empty', path: this.at('stages') });
        return { kind, bpm, stages: this.typed.stages };
      }
    }
  }

  private at(field: keyof TypedLadder): Path {
    return [...this.path, field];
  }

  private add(issue: Issue): void {
    this.issues.push(issue);
  }

  private way() {
    const start = this.tempo('start');
    const target = this.tempo('target');
    const step = Number(this.typed.step.replace('−', '-').trim() || NaN);
    if (!Number.isFinite(step) || step === 0 || (this.typed.kind === 'percent' && step <= -100)) {
      this.add({ code: 'ladder-step-zero', path: this.at('step') });
    } else this.leads(start, target, step);
    return { start, target, step };
  }

  private leads(start: number, target: number, step: number): void {
    if (!((target - start) * step < 0)) return;
    this.add({ code: 'ladder-step-away', path: this.at('step'), start, target, step });
  }

  private tempo(field: 'start' | 'target' | 'slow'): number {
    const read = parseBpm(this.typed[field], this.at(field));
    if (read.ok) return read.value;
    this.issues.push(...read.issues);
    return NaN;
  }

  private number(
    field: 'start' | 'target' | 'step' | 'every',
    least: number,
    most: number,
    by: number,
  ) {
    const text = this.typed[field];
    const value = Number(text.trim() || NaN);
    if (value >= least && value <= most && value % by === 0) return value;
    this.add({ code: 'ladder-number', path: this.at(field), text, least, most });
    return NaN;
  }

  private list(): number[] {
    const words = this.typed.list.split(/[\s,;→>-]+/).filter((word) => word !== '');
    if (words.length === 0) this.add({ code: 'ladder-empty', path: this.at('list') });
    return words.flatMap((word) => {
      const read = parseBpm(word, this.at('list'));
      if (!read.ok) this.issues.push(...read.issues);
      return read.ok ? [read.value] : [];
    });
  }
}
