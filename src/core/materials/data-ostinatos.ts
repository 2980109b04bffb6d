import type { Limb, VoiceId } from '../kit';
import type { SubdivisionId } from '../time';
import type { Lane, Ostinato } from './ostinato-schema';

function lane(limb: Limb, voice: VoiceId, slot: SubdivisionId, grid: string): Lane {
  return { limb, voice, slot, grid };
}

const HATS_2_4 = lane('LF', 'hat-foot', '4', '-x-x');
const BACKBEAT = lane('LH', 'snare', '4', '-X-X');
const ONE_AND_THREE = lane('RF', 'bass', '4', 'x-x-');

function rock(slot: SubdivisionId, grid: string): readonly Lane[] {
  return [lane('RH', 'hat', slot, grid), BACKBEAT, ONE_AND_THREE];
}

/** Rock in 8ths with a bass drum of its own. */
function rockWith(bass: string): readonly Lane[] {
  return [lane('RH', 'hat', '8', 'xxxxxxxx'), BACKBEAT, lane('RF', 'bass', '8', bass)];
}

function of(name: string, lanes: readonly Lane[], meter = '4/4', swung = false): Ostinato {
  return { name, meter, swung, lanes };
}

/** An ostinato that ships, with what it trains. */
export interface ShippedOstinato extends Ostinato {
  readonly trains: OstinatoUse;
}

type OstinatoUse =
  | 'rock'
  | 'jazz'
  | 'hands'
  | 'feet'
  | 'Latin'
  | 'odd and compound meters'
  | 'ride flows';

function shipped(
  trains: OstinatoUse,
  all: Readonly<Record<string, Ostinato>>,
): Readonly<Record<string, ShippedOstinato>> {
  return Object.fromEntries(Object.entries(all).map(([id, one]) => [id, { ...one, trains }]));
}

const RUN_16 = 'xxxxxxxxxxxxxxxx';

/** Hand-to-hand 16ths whose backbeat hand drops to the snare; the lead hand has the beats. */
function handToHand(lead: 'RH' | 'LH'): readonly Lane[] {
  const other = lead === 'RH' ? 'LH' : 'RH';
  return [
    lane(lead, 'hat', '16', 'x-x---x-x-x---x-'),
    lane(lead, 'snare', '16', '----X-------X---'),
    lane(other, 'hat', '16', '-x-x-x-x-x-x-x-x'),
  ];
}

/** Ostinatos that ship, by id; version 1 of each. Common practice, no source. */
export const SHIPPED_OSTINATOS: Readonly<Record<string, ShippedOstinato>> = {
  ...shipped('feet', {
    'hats-2-4': of('foot hi-hat on 2 and 4', [HATS_2_4]),
    'hats-quarters': of('foot hi-hat in quarters', [lane('LF', 'hat-foot', '4', 'xxxx')]),
    'hats-upbeats': of('foot hi-hat on the upbeats', [lane('LF', 'hat-foot', '8', '-x-x-x-x')]),
    'hats-8ths': of('foot hi-hat in 8ths', [lane('LF', 'hat-foot', '8', 'xxxxxxxx')]),
    'bass-quarters': of('bass drum in quarters', [lane('RF', 'bass', '4', 'xxxx')]),
    'feet-alternating': of('feet alternating in 8ths', [
      lane('RF', 'bass', '4', 'xxxx'),
      lane('LF', 'hat-foot', '8', '-x-x-x-x'),
    ]),
    'double-bass-16ths': of('double-bass 16ths', [
      lane('RF', 'bass', '8', 'xxxxxxxx'),
      lane('LF', 'bass', '16', '-x-x-x-x-x-x-x-x'),
    ]),
    'double-bass-8ths': of('double-bass 8ths', [
      lane('RF', 'bass', '4', 'xxxx'),
      lane('LF', 'bass', '8', '-x-x-x-x'),
    ]),
    'feet-doubles': of('feet in doubles', [
      lane('RF', 'bass', '16', 'xx--'),
      lane('LF', 'bass', '16', '--xx'),
    ]),
    'feet-paradiddle': of('paradiddle of the feet', [
      lane('RF', 'bass', '16', 'x-xx-x--'),
      lane('LF', 'bass', '16', '-x--x-xx'),
    ]),
    'tumbao-bass': of('tumbao bass, on the & of 2 and on 4', [lane('RF', 'bass', '8', '---x--x-')]),
    'double-bass-triplets': of('double-bass triplets', [
      lane('RF', 'bass', '8t', 'x-x-x-'),
      lane('LF', 'bass', '8t', '-x-x-x'),
    ]),
  }),
  ...shipped('jazz', {
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
    brushes: of(
      'brushes: sweeps in quarters, ride rhythm on the snare, hats on 2 and 4',
      [lane('LH', 'snare', '4', 'gggg'), lane('RH', 'snare', '8', 'x-xxx-xx'), HATS_2_4],
      '4/4',
      true,
    ),
    'jazz-ride-alone': of('jazz ride alone', [lane('RH', 'ride', '8', 'x-xxx-xx')], '4/4', true),
    shuffle: of('shuffle', [lane('RH', 'ride', '8t', 'x-xx-xx-xx-x'), BACKBEAT, ONE_AND_THREE]),
    'half-time-shuffle': of('half-time shuffle', [
      lane('RH', 'hat', '8t', 'x-xx-xx-xx-x'),
      lane('LH', 'snare', '8t', '-g--g-Xg--g-'),
      lane('RF', 'bass', '8t', 'x----x------'),
    ]),
    waltz: of(
      'jazz waltz, hats on 2',
      [lane('RH', 'ride', '8', 'x-xxx-'), lane('LF', 'hat-foot', '4', '-x-')],
      '3/4',
      true,
    ),
  }),
  ...shipped('rock', {
    'rock-8ths': of('rock in 8ths', rock('8', 'xxxxxxxx')),
    'rock-quarters': of('rock in quarters', rock('4', 'xxxx')),
    'rock-16ths': of('rock in 16ths', rock('16', RUN_16)),
    'rock-8ths-hands': of('hi-hat 8ths and backbeat', [
      lane('RH', 'hat', '8', 'xxxxxxxx'),
      BACKBEAT,
    ]),
    'rock-four-floor': of('rock in 8ths, bass drum in quarters', [
      lane('RH', 'hat', '8', 'xxxxxxxx'),
      BACKBEAT,
      lane('RF', 'bass', '4', 'xxxx'),
    ]),
    'half-time-rock': of('half-time rock in 8ths, snare on 3', [
      lane('RH', 'hat', '8', 'xxxxxxxx'),
      lane('LH', 'snare', '4', '--X-'),
      lane('RF', 'bass', '4', 'x---'),
    ]),
    'open-upbeats': of('hats open on the upbeats, bass drum in quarters, backbeat', [
      lane('RH', 'hat', '4', 'xxxx'),
      lane('RH', 'hat-open', '8', '-x-x-x-x'),
      BACKBEAT,
      lane('RF', 'bass', '4', 'xxxx'),
    ]),
    'open-on-4': of('rock in 8ths, hat open on the & of 4', [
      lane('RH', 'hat', '8', 'xxxxxxx-'),
      lane('RH', 'hat-open', '8', '-------x'),
      BACKBEAT,
      ONE_AND_THREE,
    ]),
    'rock-bass-and-1': of('rock in 8ths, bass drum on 1 and its &', rockWith('xx------')),
    'rock-bass-and-2': of('rock in 8ths, bass drum on 1 and the & of 2', rockWith('x--x----')),
    'rock-bass-and-3': of('rock in 8ths, bass drum on 1 and the & of 3', rockWith('x----x--')),
    'rock-bass-and-4': of('rock in 8ths, bass drum on 1 and the & of 4', rockWith('x------x')),
    'one-drop': of('one-drop: hat in 8ths, cross-stick and bass drum on 3', [
      lane('RH', 'hat', '8', 'xxxxxxxx'),
      lane('LH', 'cross-stick', '4', '--X-'),
      lane('RF', 'bass', '4', '--x-'),
    ]),
    'train-beat': of('train beat: hand-to-hand 16ths, upbeats accented, bass drum in quarters', [
      lane('RH', 'snare', '16', 'x-X-x-X-x-X-x-X-'),
      lane('LH', 'snare', '16', '-x-x-x-x-x-x-x-x'),
      lane('RF', 'bass', '4', 'xxxx'),
    ]),
    'second-line': of('second line: hand-to-hand 16ths, clave accented, bass drum 3-3-2', [
      lane('RH', 'snare', '16', 'X-g-g-X-g-X-X-g-'),
      lane('LH', 'snare', '16', '-g-X-g-g-g-g-g-g'),
      lane('RF', 'bass', '8', 'x--x--x-'),
    ]),
    'rock-ride-bell': of('ride bell on the beats, backbeat', [
      lane('RH', 'ride-bell', '4', 'xxxx'),
      BACKBEAT,
      ONE_AND_THREE,
    ]),
  }),
  ...shipped('hands', {
    'one-hand-16ths': of('one-handed 16ths, no accents', [lane('RH', 'hat', '16', RUN_16)]),
    'one-hand-16ths-8ths': of('one-handed 16ths, 8ths accented', [
      lane('RH', 'hat', '16', 'XxXxXxXxXxXxXxXx'),
    ]),
    'one-hand-16ths-beats': of('one-handed 16ths, beats accented', [
      lane('RH', 'hat', '16', 'XxxxXxxxXxxxXxxx'),
    ]),
    'one-hand-16ths-upbeats': of('one-handed 16ths, upbeats accented', [
      lane('RH', 'hat', '16', 'xxXxxxXxxxXxxxXx'),
    ]),
    'one-hand-16ths-all': of('one-handed 16ths, all accented', [
      lane('RH', 'hat', '16', 'XXXXXXXXXXXXXXXX'),
    ]),
    'hand-to-hand-right': of('hand-to-hand 16ths, right lead, backbeat', handToHand('RH')),
    'hand-to-hand-left': of('hand-to-hand 16ths, left lead, backbeat', handToHand('LH')),
    'left-paradiddle': of('paradiddle of left hand and left foot', [
      lane('LH', 'snare', '16', 'x-xx-x--'),
      lane('LF', 'hat-foot', '16', '-x--x-xx'),
    ]),
    'left-doubles': of('doubles of left hand and left foot', [
      lane('LH', 'snare', '16', 'xx--'),
      lane('LF', 'hat-foot', '16', '--xx'),
    ]),
    'left-singles': of('singles of left hand and left foot', [
      lane('LH', 'snare', '16', 'x-'),
      lane('LF', 'hat-foot', '16', '-x'),
    ]),
  }),
  ...shipped('ride flows', {
    'ride-quarters': of('ride in quarters', [lane('RH', 'ride', '4', 'xxxx')]),
    'ride-8ths': of('ride in 8ths', [lane('RH', 'ride', '8', 'xxxxxxxx')]),
    'ride-upbeats': of('ride on the upbeats', [lane('RH', 'ride', '8', '-x-x-x-x')]),
    'ride-triplets': of('ride in triplets', [lane('RH', 'ride', '8t', 'xxxxxxxxxxxx')]),
    'ride-8ths-triplets': of('ride, a bar of 8ths and one of triplets', [
      lane('RH', 'ride', '8', 'xxxxxxxx 8t: xxxxxxxxxxxx'),
    ]),
  }),
  ...shipped('Latin', {
    'samba-quarters': of('samba: hat in 16ths, bass drum in quarters, foot hi-hat on the upbeats', [
      lane('RH', 'hat', '16', 'XxxX'),
      lane('RF', 'bass', '4', 'xxxx'),
      lane('LF', 'hat-foot', '8', '-x-x-x-x'),
    ]),
    cascara: of('cascara 2-3 on the cowbell', [lane('RH', 'cowbell', '8', 'x-x-xx-x-xx-x-xx')]),
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
    'clave-2-3': of('son clave 2-3 on the cross-stick', [
      lane('LH', 'cross-stick', '8', '--x-x---x--x--x-'),
    ]),
    'clave-rumba': of('rumba clave 3-2 on the cross-stick', [
      lane('LH', 'cross-stick', '8', 'x--x---x--x-x---'),
    ]),
    'clave-foot': of('son clave 3-2 with the left foot', [
      lane('LF', 'hat-foot', '8', 'x--x--x---x-x---'),
    ]),
    'bossa-clave': of('bossa clave on the cross-stick', [
      lane('LH', 'cross-stick', '8', 'x--x--x---x--x--'),
    ]),
  }),
  ...shipped('odd and compound meters', {
    'six-eight': of(
      '6/8 hi-hat in 8ths, snare on 4, bass drum on 1',
      [
        lane('RH', 'hat', '8', 'xxxxxx'),
        lane('LH', 'snare', '8', '---X--'),
        lane('RF', 'bass', '8', 'x-----'),
      ],
      '6/8',
    ),
    'twelve-eight': of(
      '12/8 ride in 8ths, snare on 4 and 10, bass drum on 1 and 7',
      [
        lane('RH', 'ride', '8', 'xxxxxxxxxxxx'),
        lane('LH', 'snare', '8', '---X-----X--'),
        lane('RF', 'bass', '8', 'x-----x-----'),
      ],
      '12/8',
    ),
    'waltz-bass': of(
      'waltz, bass drum on 1, snare on 2 and 3',
      [
        lane('RH', 'ride', '4', 'xxx'),
        lane('LH', 'snare', '4', '-xx'),
        lane('RF', 'bass', '4', 'x--'),
      ],
      '3/4',
    ),
    'bell-12-8': of(
      '12/8 bell on the cowbell',
      [lane('RH', 'cowbell', '8', 'x-x-xx-x-x-x')],
      '12/8',
    ),
    'five-four': of(
      '5/4 ride, skips on 2 and 5, hats on 2 and 4',
      [lane('RH', 'ride', '8', 'x-xxx-x-xx'), lane('LF', 'hat-foot', '4', '-x-x-')],
      '5/4',
      true,
    ),
    'seven-eight': of(
      '7/8 hi-hat, backbeat on 5',
      [lane('RH', 'hat', '8', 'xxxxxxx'), lane('LH', 'snare', '8', '----X--')],
      '7/8',
    ),
    'seven-eight-beats': of(
      '7/8 ride on the groups, bass drum on 1 and 7',
      [lane('RH', 'ride', '8', 'x-x-x--'), lane('RF', 'bass', '8', 'x-----x')],
      '7/8',
    ),
  }),
};
