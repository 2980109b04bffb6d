import { FULL_KIT, type KitProfile, type Limb, type VoiceId } from '../kit';
import type { SubdivisionId } from '../time';
import type { Lane, Ostinato } from './ostinato';

function lane(limb: Limb, voice: VoiceId, slot: SubdivisionId, grid: string): Lane {
  return { limb, voice, slot, grid };
}

const HATS_2_4 = lane('LF', 'hat-foot', '4', '-x-x');
const BACKBEAT = lane('LH', 'snare', '4', '-X-X');
const ONE_AND_THREE = lane('RF', 'bass', '4', 'x-x-');

function rock(slot: SubdivisionId, grid: string): readonly Lane[] {
  return [lane('RH', 'hat', slot, grid), BACKBEAT, ONE_AND_THREE];
}

function of(name: string, lanes: readonly Lane[], meter = '4/4', swung = false): Ostinato {
  return { name, meter, swung, lanes };
}

/** Ostinatos that ship, by id; version 1 of each. Common practice, no source. */
export const SHIPPED_OSTINATOS: Readonly<Record<string, Ostinato>> = {
  'hats-2-4': of('left-foot hi-hat on 2 and 4', [HATS_2_4]),
  'hats-quarters': of('left-foot hi-hat in quarters', [lane('LF', 'hat-foot', '4', 'xxxx')]),
  'hats-upbeats': of('left-foot hi-hat on the upbeats', [lane('LF', 'hat-foot', '8', '-x-x-x-x')]),
  'jazz-ride': of(
    'jazz ride, hats on 2 and 4',
    [lane('RH', 'ride', '8', 'x-xxx-xx'), HATS_2_4],
    '4/4',
    true,
  ),
  'jazz-ride-quarters': of(
    'ride in quarters, hats on 2 and 4',
    [lane('RH', 'ride', '4', 'xxxx'), HATS_2_4],
    '4/4',
    true,
  ),
  'jazz-ride-feathered': of(
    'jazz ride, hats on 2 and 4, feathered bass drum',
    [lane('RH', 'ride', '8', 'x-xxx-xx'), HATS_2_4, lane('RF', 'bass', '4', 'gggg')],
    '4/4',
    true,
  ),
  'rock-8ths': of('rock in 8ths', rock('8', 'xxxxxxxx')),
  'rock-quarters': of('rock in quarters', rock('4', 'xxxx')),
  'rock-16ths': of('rock in 16ths', rock('16', 'xxxxxxxxxxxxxxxx')),
  'rock-8ths-hands': of('hi-hat 8ths and backbeat', [lane('RH', 'hat', '8', 'xxxxxxxx'), BACKBEAT]),
  'one-hand-16ths-beats': of('one-handed 16ths, beats accented', [
    lane('RH', 'hat', '16', 'XxxxXxxxXxxxXxxx'),
  ]),
  'one-hand-16ths-upbeats': of('one-handed 16ths, upbeats accented', [
    lane('RH', 'hat', '16', 'xxXxxxXxxxXxxxXx'),
  ]),
  'ride-upbeats': of('ride on the upbeats', [lane('RH', 'ride', '8', '-x-x-x-x')]),
  'samba-feet': of('samba feet', [
    lane('RF', 'bass', '16', 'x--xx--xx--xx--x'),
    lane('LF', 'hat-foot', '8', '-x-x-x-x'),
  ]),
  'bossa-feet': of('bossa feet', [lane('RF', 'bass', '8', 'x--xx--x'), HATS_2_4]),
  'baiao-feet': of('baião feet', [
    lane('RF', 'bass', '16', 'x--x--x-'),
    lane('LF', 'hat-foot', '8', '-x-x-x-x'),
  ]),
  'clave-3-2': of('son clave 3-2 on the cross-stick', [
    lane('LH', 'cross-stick', '8', 'x--x--x---x-x---'),
  ]),
  'double-bass-16ths': of('double-bass 16ths', [
    lane('RF', 'bass', '8', 'xxxxxxxx'),
    lane('LF', 'bass', '16', '-x-x-x-x-x-x-x-x'),
  ]),
  shuffle: of('shuffle', [lane('RH', 'ride', '8t', 'x-xx-xx-xx-x'), BACKBEAT, ONE_AND_THREE]),
  'six-eight': of(
    '6/8 groove',
    [
      lane('RH', 'hat', '8', 'xxxxxx'),
      lane('LH', 'snare', '8', '---X--'),
      lane('RF', 'bass', '8', 'x-----'),
    ],
    '6/8',
  ),
  'twelve-eight': of(
    '12/8 groove',
    [
      lane('RH', 'ride', '8', 'xxxxxxxxxxxx'),
      lane('LH', 'snare', '8', '---X-----X--'),
      lane('RF', 'bass', '8', 'x-----x-----'),
    ],
    '12/8',
  ),
  waltz: of(
    'jazz waltz, hats on 2',
    [lane('RH', 'ride', '8', 'x-xxx-'), lane('LF', 'hat-foot', '4', '-x-')],
    '3/4',
    true,
  ),
  'five-four': of(
    '5/4 ride, hats on 2 and 4',
    [lane('RH', 'ride', '8', 'x-xxx-x-x-'), lane('LF', 'hat-foot', '4', '-x-x-')],
    '5/4',
  ),
  'seven-eight': of(
    '7/8 hi-hat, backbeat on 5',
    [lane('RH', 'hat', '8', 'xxxxxxx'), lane('LH', 'snare', '8', '----X--')],
    '7/8',
  ),
};

export interface ShippedLine {
  readonly name: string;
  readonly meter: string;
  readonly text: string;
}

/** Reading lines that ship, by id; version 1 of each; written for Mivvel. */
export const SHIPPED_LINES: Readonly<Record<string, ShippedLine>> = {
  'line-1': { name: 'line 1', meter: '4/4', text: '4 4 4 4' },
  'line-2': { name: 'line 2', meter: '4/4', text: '4 8 8 4 4' },
  'line-3': { name: 'line 3', meter: '4/4', text: '4. 8 4 4' },
  'line-4': { name: 'line 4', meter: '4/4', text: '8 4 8 4 4' },
  'line-5': { name: 'line 5', meter: '4/4', text: '4. 4 8 4' },
  'line-6': { name: 'line 6', meter: '4/4', text: '8 4. 8 4.' },
  'line-7': { name: 'line 7', meter: '4/4', text: '8r 4 4 8 4' },
  'line-8': { name: 'line 8', meter: '4/4', text: '4. 4. 4' },
  'line-9': { name: 'line 9', meter: '4/4', text: '8r 4. 8r 4.' },
  'line-10': { name: 'line 10', meter: '4/4', text: '4 8r 8~4 8 8 | 8r 4 8~4 4' },
  'line-11': { name: 'line 11', meter: '4/4', text: '8. 16 4 8. 16 4' },
  'line-12': { name: 'line 12', meter: '4/4', text: '16 8 16 4 16 8 16 4' },
  'line-13': { name: 'line 13', meter: '4/4', text: '3(8 8 8) 4 3(8r 8 8) 4' },
  'line-14': { name: 'line 14', meter: '3/4', text: '4. 8 4' },
  'line-15': { name: 'line 15', meter: '6/8', text: '4 8 8 8 8' },
  'line-16': { name: 'line 16', meter: '7/8', text: '4 4 8 8 8' },
  'line-17': { name: 'line 17', meter: '5/4', text: '4. 8 4 8 8 4' },
};

/** Kit set-ups that ship, by id; version 1 of each. */
export const SHIPPED_KITS: Readonly<Record<string, KitProfile>> = {
  'full-kit': FULL_KIT,
  'mirrored-kit': { ...FULL_KIT, name: 'mirrored kit', handedness: 'mirrored' },
  'open-handed': { ...FULL_KIT, name: 'full kit, open-handed', handedness: 'open-handed' },
  'left-lead': { ...FULL_KIT, name: 'full kit, left lead', handedness: 'left-lead' },
};
