import { type Change } from '@/core/recipe';
import { type Say, sayChange } from '@/words';
import type { Option } from '../base';

const BASS = { limb: 'RF', voice: 'bass' } as const;
const SNARE = { limb: 'LH', voice: 'snare' } as const;

/** What each change begins as, in the order in which they are offered. */
export const CHANGE_STARTS: readonly Change[] = [
  { kind: 'displace', what: 'pattern', part: 'line', by: 1, slot: '16' },
  { kind: 'displace', what: 'accents', part: 'line', by: 1, slot: '16' },
  { kind: 'displace', what: 'sticking', part: 'line', by: 1, slot: '16' },
  { kind: 'displace', what: 'pattern', part: 'over', by: 1, slot: '8' },
  { kind: 'push', part: 'line', note: 1, by: 1, slot: '16' },
  { kind: 'mirror', what: 'hands', part: 'line' },
  { kind: 'mirror', what: 'all limbs', part: 'all' },
  { kind: 'reverse', part: 'line', slot: '16' },
  {
    kind: 'turn',
    part: 'all',
    voices: ['bass', 'tom-high', 'tom-floor'],
    turn: 1,
    reversed: false,
  },
  { kind: 'swap-feet', part: 'all' },
  { kind: 'footing', part: 'all', school: 'grid' },
  { kind: 'footing', part: 'all', school: 'groups' },
  { kind: 'give', part: 'line', from: 'RH', to: { limb: 'LF', voice: 'hat-foot' } },
  { kind: 'substitute', part: 'line', every: 4, place: 4, to: BASS, hands: 'kept' },
  { kind: 'revoice', part: 'over', from: 'hat', to: 'ride' },
  { kind: 'revoice', part: 'over', from: 'hat', to: 'ride', limb: 'LH' },
  {
    kind: 'orchestrate',
    part: 'all',
    notes: 'lone',
    limb: null,
    to: 'tom-floor',
    pass: 'every',
  },
  {
    kind: 'orchestrate',
    part: 'all',
    notes: 'all',
    limb: 'RH',
    to: 'ride',
    pass: 'second',
  },
  { kind: 'place', to: BASS, slot: '16', grid: 'x--x' },
  { kind: 'place', to: SNARE, slot: '16', grid: '-g--' },
  {
    kind: 'every-nth',
    of: { limb: 'RH', voice: null },
    nth: 2,
    first: 1,
    to: BASS,
    dynamic: 'normal',
  },
  {
    kind: 'thicken',
    around: 'accents',
    side: 'before',
    count: 1,
    slot: '16',
    to: SNARE,
    dynamic: 'ghost',
  },
  { kind: 'thin', part: 'over', limb: 'RH', keep: 'beats' },
  { kind: 'only', limbs: ['RH', 'RF'] },
  { kind: 'excerpt', from: 0, slots: 8, slot: '16' },
  { kind: 'plain' },
  { kind: 'open-graces', slot: '16' },
  { kind: 'grace-width', ms: 15 },
  { kind: 'aim', bars: 4, times: 1, lands: 0, slot: '16', by: 'end', over: 'goes on' },
  { kind: 'aim', bars: 4, times: 1, lands: 0, slot: '16', by: 'last note', over: 'goes on' },
  {
    kind: 'aim',
    ...{ bars: 4, times: 1, lands: 0, slot: '16', over: 'goes on' },
    by: 'start',
    on: { bar: 4, beat: 4 },
  },
];

/** Placing in time goes by several names. */
const AIMED: Readonly<Record<string, 'aim-last' | 'aim-start'>> = {
  'last note': 'aim-last',
  start: 'aim-start',
};

export function changeOptions(say: Say): readonly Option<string>[] {
  return CHANGE_STARTS.map((change, index) => ({
    value: String(index),
    text: sayChange(say, change),
    hint: tradeWord(say, change),
    also: say.t(`change.also.${AIMED[change.kind === 'aim' ? change.by : ''] ?? change.kind}`),
  }));
}

/** The trade's word for a change, so that it can be found by typing it. */
function tradeWord(say: Say, change: Change): string {
  const second = change.kind === 'orchestrate' && change.pass === 'second';
  return say.t(`change.trade.${second ? 'second-pass' : change.kind}`);
}
