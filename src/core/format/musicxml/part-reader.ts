import { isHand, mirrorLimb, type Limb } from '../../kit';
import { barTicks, parseMeter, tick, TICKS_PER_QUARTER, type Meter } from '../../time';
import {
  LeftOut,
  type RepeatSigns,
  type ScoreBar,
  type ScoreSign,
  type ScoreStroke,
} from '../score';
import {
  dynamicOfNote,
  limbsOf,
  ornamentOf,
  tremoloOf,
  voiceOf,
  writtenValue,
  type Instrument,
} from './note';
import { childOf, childrenOf, numberAt, textAt, type XmlNode } from './xml-tree';

/** Longest duration that is believed, in quarters. */
const MOST_QUARTERS = 1000;

/** A note that was read and waits for the end of its bar. */
interface Struck extends Omit<ScoreStroke, 'at'> {
  readonly at: number;
}

/** Reads the bars of a part one after the other: lengths, meter and styles hold until they change. */
export class PartReader {
  readonly left = new LeftOut();
  private divisions = 1;
  private meter: Meter = { count: 4, unit: 4, grouping: [4] };
  private passes: readonly number[] | null = null;
  /** How many bars before are played again, while that is written. */
  private again: number | null = null;
  private slashed = false;
  private readonly read: (ScoreBar & { ends: boolean })[] = [];
  private graces = new Map<string, (Limb | null)[]>();

  constructor(private readonly instruments: ReadonlyMap<string, Instrument>) {}

  bar(measure: XmlNode, index: number): ScoreBar & { readonly ends: boolean } {
    const number = measure.attributes['number'] ?? String(index + 1);
    const signs = new Map<string, ScoreSign[]>();
    const struck: Struck[] = [];
    let at = 0;
    let chordAt = 0;
    let longest = 0;
    let begins = index === 0;
    let ends = false;
    let says = '';
    let from = false;
    let times: number | null = null;
    let stops = false;
    for (const node of measure.children) {
      if (node.name === 'attributes') this.attributes(node, number);
      else if (node.name === 'backup') at = near0(at - this.ticksOf(node));
      else if (node.name === 'forward') at += this.ticksOf(node);
      else if (node.name === 'direction') {
        const types = childrenOf(node, 'direction-type');
        const mark = types.map((one) => textAt(one, 'rehearsal')).find((one) => one !== '');
        if (mark !== undefined) begins = true;
        const words = types.map((one) => textAt(one, 'words')).find((one) => one !== '');
        if (says === '' || mark !== undefined) says = mark ?? words ?? says;
        this.direction(node, number);
      } else if (node.name === 'sound') this.sound(node, number);
      else if (node.name === 'barline') {
        const repeat = childOf(node, 'repeat')?.attributes;
        if (repeat?.['direction'] === 'forward') from = true;
        if (repeat?.['direction'] === 'backward') times = Number(repeat['times'] ?? 2) || 2;
        if (/^(light-light|light-heavy|heavy-heavy)$/.test(textAt(node, 'bar-style'))) {
          if (node.attributes['location'] !== 'left') ends = true;
        }
        const ending = childOf(node, 'ending')?.attributes;
        if (ending?.['type'] === 'start') this.passes = passesOf(ending['number'] ?? '1');
        else if (ending) stops = true;
      } else if (node.name === 'note') {
        const inChord = childOf(node, 'chord') !== undefined;
        const where = inChord ? chordAt : at;
        const length = this.note(node, where, inChord, number, signs, struck);
        if (!inChord) {
          chordAt = at;
          at += length;
        }
      }
      longest = Math.max(longest, at);
    }
    if (this.slashed) this.left.add({ why: 'slash' }, number);
    const repeats: RepeatSigns = { from, times, passes: this.passes };
    if (stops) this.passes = null;
    const bar = this.fitted(number, index, longest, measure, { signs, struck });
    const again = this.again === null ? undefined : this.read[index - this.again];
    const content = again ? { strokes: again.strokes, voices: again.voices } : bar;
    const made = { ...bar, ...content, number, begins, says: says.slice(0, 80), repeats, ends };
    this.read.push(made);
    return made;
  }

  /** The bar as long as its meter: a short one has rests, before it where it is a pickup; a longer one has a meter of
   * its own. */
  private fitted(
    number: string,
    index: number,
    longest: number,
    measure: XmlNode,
    { signs, struck }: { signs: Map<string, ScoreSign[]>; struck: readonly Struck[] },
  ): Pick<ScoreBar, 'meter' | 'strokes' | 'voices'> {
    const whole = barTicks(this.meter);
    const pickup = index === 0 || measure.attributes['implicit'] === 'yes';
    const missing = Math.round(whole - longest);
    const isShort = struck.length > 0 && missing > 0 && this.again === null;
    if (isShort) this.left.add({ why: 'short' }, number);
    const shift = isShort && pickup ? missing : 0;
    const over = missing < 0 ? longerMeter(this.meter, longest) : null;
    if (missing < 0) this.left.add({ why: over ? 'long' : 'over' }, number);
    const end = barTicks(over ?? this.meter);
    return {
      meter: over ?? this.meter,
      strokes: struck
        .map((one) => ({ ...one, at: tick(Math.round(one.at) + shift) }))
        .filter((one) => one.at < end),
      voices: new Map(
        [...signs].map(([id, own]) => [
          id,
          shift > 0 ? own.map((one) => ({ ...one, at: tick(one.at + shift) })) : own,
        ]),
      ),
    };
  }

  private note(
    node: XmlNode,
    at: number,
    inChord: boolean,
    number: string,
    signs: Map<string, ScoreSign[]>,
    struck: Struck[],
  ): number {
    const id = textAt(node, 'voice') || '1';
    const found = voiceOf(node, this.instruments);
    const pitched = childOf(node, 'pitch') !== undefined;
    const voice = pitched ? null : found.voice;
    const limbs = limbsOf(node, voice);
    if (childOf(node, 'grace')) {
      this.graces.set(id, [...(this.graces.get(id) ?? []), limbs[0] ?? null]);
      return 0;
    }
    const value = writtenValue(node);
    const length = this.lengthOf(node, value);
    const isRest = childOf(node, 'rest') !== undefined || childOf(node, 'cue') !== undefined;
    const ties = [...childrenOf(node, 'tie')].map(({ attributes }) => attributes['type']);
    if (!inChord) {
      const own = signs.get(id) ?? [];
      const fits = value !== null && Math.abs(value.ticks - length) < 1;
      own.push({
        at: tick(Math.round(at)),
        ticks: tick(Math.round(length)),
        base: fits && value.base <= 32 && value.dots <= 2 ? value.base : null,
        dots: value?.dots ?? 0,
        tuplet: value?.tuplet ?? null,
        isRest,
        tied: !isRest && ties.includes('start'),
      });
      signs.set(id, own);
    }
    if (isRest || ties.includes('stop')) return length;
    if (pitched) this.left.add({ why: 'pitch' }, null);
    else if (voice === null) this.left.add({ why: 'key', key: found.key }, number);
    else if (found.nearest && found.key !== null) {
      this.left.add({ why: 'nearest', key: found.key, voice }, number);
    }
    const graces = this.graces.get(id) ?? [];
    this.graces.delete(id);
    if (graces.length > 3) this.left.add({ why: 'grace' }, number);
    const ornament = ornamentOf(graces) ?? tremoloOf(node);
    const last = graces.at(-1);
    const said =
      limbs.length > 0 ? limbs : last ? [isHand(last) ? mirrorLimb(last) : last] : [null];
    for (const limb of said)
      struck.push({ at, voice, limb, dynamic: dynamicOfNote(node), ornament });
    return length;
  }

  /** As it is written, which is exact; a rest that fills its bar, or a value that does not fit, by its duration. */
  private lengthOf(node: XmlNode, value: ReturnType<typeof writtenValue>): number {
    const counted = childOf(node, 'duration') ? this.ticksOf(node) : null;
    const fillsBar = childOf(node, 'rest')?.attributes['measure'] === 'yes';
    if (counted === null) return fillsBar ? barTicks(this.meter) : (value?.ticks ?? 0);
    if (!value || fillsBar) return counted;
    // Durations are whole divisions: a septuplet's may be off by half of one.
    const rounding = TICKS_PER_QUARTER / this.divisions;
    return Math.abs(counted - value.ticks) <= rounding ? value.ticks : counted;
  }

  private ticksOf(node: XmlNode): number {
    const quarters = (numberAt(node, 'duration') ?? 0) / this.divisions;
    return quarters >= 0 && quarters <= MOST_QUARTERS ? quarters * TICKS_PER_QUARTER : 0;
  }

  private attributes(node: XmlNode, number: string): void {
    const divisions = numberAt(node, 'divisions');
    if (divisions !== null && divisions > 0) this.divisions = divisions;
    const time = childOf(node, 'time');
    if (time) {
      const beats = textAt(time, 'beats').trim();
      const total = beats.split('+').reduce((sum, one) => sum + Number(one), 0);
      const grouping = beats.includes('+') ? ` ${beats}` : '';
      const meter = parseMeter(`${total}/${textAt(time, 'beat-type')}${grouping}`);
      if (meter.ok) this.meter = meter.value;
      else this.left.add({ why: 'meter' }, number);
    }
    for (const style of childrenOf(node, 'measure-style')) {
      const repeat = childOf(style, 'measure-repeat');
      if (repeat) {
        const starts = repeat.attributes['type'] === 'start';
        this.again = starts ? Math.max(1, Number(repeat.text) || 1) : null;
      }
      const slash = childOf(style, 'slash');
      if (slash) this.slashed = slash.attributes['type'] === 'start';
    }
  }

  /** What a direction says and no exercise holds. */
  private direction(direction: XmlNode, number: string): void {
    const says = childrenOf(direction, 'direction-type').flatMap(({ children }) =>
      children.map(({ name }) => name),
    );
    const sound = childOf(direction, 'sound');
    if (says.includes('dynamics') || says.includes('wedge')) {
      this.left.add({ why: 'loudness' }, number);
    }
    if (says.includes('metronome') && sound?.attributes['tempo'] === undefined) {
      this.left.add({ why: 'tempo' }, number);
    }
    if (sound) this.sound(sound, number);
  }

  private sound({ attributes }: XmlNode, number: string): void {
    if ('tempo' in attributes) this.left.add({ why: 'tempo' }, number);
    if (['dacapo', 'dalsegno', 'tocoda', 'fine'].some((one) => one in attributes)) {
      this.left.add({ why: 'jump' }, number);
    }
  }
}

function near0(ticks: number): number {
  return ticks < TICKS_PER_QUARTER / 100 ? 0 : ticks;
}

function passesOf(text: string): readonly number[] {
  const found = text
    .split(/[\s,]+/)
    .map(Number)
    .filter((one) => Number.isInteger(one) && one > 0);
  return found.length > 0 ? found : [1];
}

function longerMeter({ unit }: Meter, ticks: number): Meter | null {
  const count = (ticks * unit) / (TICKS_PER_QUARTER * 4);
  const meter = parseMeter(`${count}/${unit}`);
  return meter.ok ? meter.value : null;
}
