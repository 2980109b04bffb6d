import tone from '@tonejs/midi';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { samples } from '../../../samples.fixture';
import { must } from '../../issue';
import { voice } from '../../kit';
import {
  blankRecipe,
  expand,
  soundingLength,
  soundsAt,
  toggleOstinato,
  type ClosedRecipe,
  type Exercise,
} from '../../recipe';
import { figureOf } from '../../pattern';
import { typedSticking } from '../../sticking';
import { slotTicks, TICKS_PER_QUARTER } from '../../time';
import { pieceOf, SHIPPED_PIECES } from '../pieces.fixture';
import {
  draftsOf,
  likelyChoice,
  PLAYED_GRIDS,
  putOn,
  type Choice,
  type KeyVoices,
  type PlayedGrid,
} from '../score';
import { readMidi, writeMidi, type PlayedNote } from '.';

/** A file of an independent writer (@tonejs/midi), 480 ticks to a quarter note. */
function file(notes: readonly (readonly [ticks: number, key: number])[], channel = 9): Uint8Array {
  const midi = new tone.Midi();
  const track = midi.addTrack();
  track.channel = channel;
  for (const [ticks, key] of notes) track.addNote({ midi: key, ticks, durationTicks: 20 });
  return midi.toArray();
}

const textsOf = (bytes: Uint8Array, grid: PlayedGrid | null, choice: Partial<Choice> = {}) => {
  const { score, grid: on } = must(readMidi(bytes, grid));
  const whole = { part: 0, as: 'line', voice: null, cut: 'whole', ...choice } as const;
  return draftsOf(score, whole, on).drafts.map((one) =>
    one.kind === 'line' ? one.text : one.kind,
  );
};

function sticking(text: string): ClosedRecipe {
  return { ...blankRecipe(), play: { content: typedSticking(text) } };
}

/** What sounds, ornaments as signs, but those that a file writes out. */
function struck(exercise: Exercise): readonly string[] {
  return exercise.strokes
    .flatMap((stroke) => {
      const { limb, voice: id, dynamic, ornament } = stroke;
      const length = ornament ? soundingLength(stroke, exercise) : 0;
      const sign = ornament && 'diddle roll buzz'.includes(ornament) ? '' : (ornament ?? '');
      return figureOf(stroke)
        .filter(({ kind }) => kind !== 'grace')
        .map(({ share, limb: hand }) => {
          const at = Math.round(soundsAt(stroke, exercise) + share * length);
          return `${String(at).padStart(6, '0')} ${hand ?? limb} ${id} ${dynamic} ${sign}`;
        });
    })
    .sort();
}

/** The quarter of the file in which a note lies, in 4/4. */
function beatOf({ bar, slot, grid }: PlayedNote): number {
  return (bar - 1) * 4 + Math.floor((slot * slotTicks(grid)) / TICKS_PER_QUARTER);
}

describe('readMidi', () => {
  it.each([
    ['8', [0, 720, 1200, 1440], '4. 4 8 4'],
    ['8t', [0, 320, 480, 640, 800, 1440], '3(4 8) 3(8 8 8) 4r 4'],
    ['16t', [0, 80, 160, 480], '6(16 16 16 16r 16r 16r) 4 4r 4r'],
    ['16t', [0, 80, 480, 640, 800], '6(16 16 16r 16r 16r 16r) 3(8 8 8) 4r 4r'],
    ['32', [0, 60, 120, 240, 480], '32 32 16 8 2.'],
  ] as const)('on %s: a line as it would be typed', (grid, ticks, text) => {
    expect(textsOf(file(ticks.map((at) => [at, 38])), grid)).toEqual([text]);
  });

  it('notes of an independent writer lie on the nearest slot, each with how far it was off', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PLAYED_GRIDS.filter((one) => one !== 'beats')),
        fc.uniqueArray(fc.nat(3800), { minLength: 1, maxLength: 40 }),
        (grid, ticks) => {
          const { notes } = must(readMidi(file(ticks.map((at) => [at, 36])), grid));
          const slot = (480 * slotTicks(grid)) / TICKS_PER_QUARTER;
          const bar = 1920 / slot;
          const sorted = [...ticks].sort((a, b) => a - b);
          expect(notes).toHaveLength(ticks.length);
          notes.forEach((note, index) => {
            const at = sorted[index] ?? 0;
            const nearest = (note.bar - 1) * bar + note.slot;
            expect(Math.abs(at - nearest * slot)).toBeLessThanOrEqual(slot / 2);
            // 120 quarters a minute: 480 ticks are 500 ms.
            expect(note.offMs).toBeCloseTo(((at - nearest * slot) * 500) / 480, -0.5);
            expect(note.doubtful).toBe(Math.abs(at - nearest * slot) > slot * 0.3);
          });
        },
      ),
      { numRuns: samples(200), seed: 11 },
    );
  });

  it('what is a little early for the bar after the last one makes that bar', () => {
    const { score, notes } = must(
      readMidi(
        file([
          [0, 38],
          [1905, 38],
        ]),
        '8',
      ),
    );
    expect(notes.map(({ bar, slot }) => [bar, slot])).toEqual([
      [1, 0],
      [2, 0],
    ]);
    expect(score.parts[0]?.bars.map(({ strokes }) => strokes.length)).toEqual([1, 1]);
  });

  it('what was played: one grid where nothing is doubtful on it, else each beat has its own', () => {
    const played = (ticks: readonly number[]) =>
      must(readMidi(file(ticks.map((at) => [at, 38])), null));
    expect(played([4, 240, 476, 731]).grid).toBe('8');
    expect(played([0, 160, 325, 480]).grid).toBe('8t');
    expect(played([0, 118, 240, 365]).grid).toBe('16');
    const mixed = played([2, 120, 243, 360, 480, 644, 797, 960, 1058, 1151, 1250, 1344]);
    expect(mixed.grid).toBe('beats');
    expect(mixed.notes.map(({ grid, slot }) => `${grid} ${slot}`)).toEqual([
      ...['16 0', '16 1', '16 2', '16 3', '8t 3', '8t 4', '8t 5'],
      ...['5 10', '5 11', '5 12', '5 13', '5 14'],
    ]);
  });

  it('an exact file: each beat, drum and limb on the grid it was written on', () => {
    const beats = [2, 3, 4, 5, 6, 7, 8, 9, 12];
    const ticks = beats.flatMap((parts, beat) =>
      Array.from({ length: parts }, (_, one) => Math.round(480 * (beat + one / parts))),
    );
    const { grid, notes } = must(readMidi(file(ticks.map((at) => [at, 38])), null));
    expect(grid).toBe('beats');
    expect(notes.every(({ doubtful, offMs }) => !doubtful && Math.abs(offMs) <= 1)).toBe(true);
    expect(beats.map((_, beat) => notes.filter((one) => beatOf(one) === beat)[1]?.grid)).toEqual([
      '8',
      '8t',
      '16',
      '5',
      '16t',
      '7',
      '32',
      '9',
      '12',
    ]);
    expect(textsOf(file(ticks.slice(0, 14).map((at) => [at, 38])), null)).toEqual([
      '8 8 3(8 8 8) 16 16 16 16 5(16 16 16 16 16)',
    ]);
  });

  const KINDS: readonly (readonly [string, ClosedRecipe])[] = [
    ...['8', '8t', '16', '16t', '5', '7', '32', '9', '12', '4', '4t'].map(
      (slot) => [`${slot}`, sticking(`${slot}: R L R L R`)] as const,
    ),
    ...['fR', 'dR', 'uR', 'UR', 'iR', 'oR'].map(
      (mark) => [mark, sticking(`8: ${mark} L K R`)] as const,
    ),
    ['an ornament in the middle', sticking('16: R L UL R K fL R dR')],
    ['grids in turn', sticking('16: RLRL 8t: RLR 5: RLRLR 7: RLRLRLR')],
    ...[
      [2, 1],
      [3, 1],
      [3, 2],
      [5, 3],
      [5, 4],
      [4, 3],
    ].map(
      ([long = 2, short = 1]) =>
        [
          `swung ${long}:${short}`,
          { ...toggleOstinato(blankRecipe(), 'jazz-ride'), feel: { kind: 'swung', long, short } },
        ] as const,
    ),
    [
      '16ths against triplets',
      {
        ...sticking('8t: RRR'),
        over: [
          {
            content: {
              name: 'feet',
              meter: '4/4',
              swung: false,
              lanes: [{ limb: 'LF', voice: 'hat-foot', slot: '16', grid: 'xxxx' }],
            },
          },
        ],
      },
    ],
    [
      '5 against 4',
      {
        ...sticking('5: RRRRR'),
        over: [
          {
            content: {
              name: 'feet',
              meter: '4/4',
              swung: false,
              lanes: [{ limb: 'LF', voice: 'hat-foot', slot: '16', grid: 'xxxx' }],
            },
          },
        ],
      },
    ],
    [
      'voices that share a key',
      {
        ...blankRecipe(),
        over: [
          {
            content: {
              name: 'alike',
              meter: '4/4',
              swung: false,
              lanes: [
                { limb: 'RH', voice: 'hat-half', slot: '8', grid: 'x-xx' },
                { limb: 'LH', voice: 'aux-snare', slot: '8', grid: '-x' },
                { limb: 'RH', voice: 'pad', slot: '8', grid: '-x--' },
                { limb: 'LF', voice: 'hat-foot', slot: '4', grid: 'x' },
              ],
            },
          },
        ],
      },
    ],
    ['6/8', { ...blankRecipe(), meter: '6/8', play: { content: { text: '8 8 8 4.' } } }],
    ['7/8', { ...blankRecipe(), meter: '7/8', play: { content: { text: '4 4 4.' } } }],
  ];

  it.each(KINDS)('%s goes out and comes in as it was', (_, recipe) => {
    const exercise = must(expand(recipe));
    const { score, grid, notes } = must(
      readMidi(writeMidi('One', [pieceOf('One', exercise)]), null),
    );
    expect(grid).toBe('beats');
    expect(notes.filter(({ doubtful }) => doubtful)).toEqual([]);
    const { drafts, left } = draftsOf(
      score,
      { part: 0, as: 'exercise', voice: null, cut: 'whole' },
      grid,
    );
    expect(left.filter(({ why }) => why !== 'tempo' && why !== 'graces')).toEqual([]);
    const [draft] = drafts;
    if (draft?.kind !== 'exercise') throw new Error(draft?.kind);
    expect(struck(must(expand(draft.recipe)))).toEqual(struck(exercise));
  });

  it('names what it drops: controllers, words, meters inside a bar', () => {
    const midi = new tone.Midi();
    const track = midi.addTrack();
    track.channel = 9;
    track.addNote({ midi: 38, ticks: 0, durationTicks: 20 });
    track.addNote({ midi: 38, ticks: 1900, durationTicks: 20 });
    track.addCC({ number: 4, value: 0.5, ticks: 480 });
    midi.header.timeSignatures.push({ ticks: 960, timeSignature: [3, 4] });
    const { score } = must(readMidi(midi.toArray(), null));
    const whys = score.parts[0]?.left.map(({ why }) => why);
    expect(whys).toContain('controls');
    expect(whys).toContain('meter');
  });

  it('a key that is no drum here sounds as it is said to', () => {
    const bytes = file([
      [0, 80],
      [480, 35],
    ]);
    const voices = (keys?: KeyVoices) =>
      must(readMidi(bytes, null, keys)).score.parts[0]?.bars[0]?.strokes.map((one) => one.voice);
    expect(voices()).toEqual([null, 'bass']);
    expect(
      voices(
        new Map([
          [80, 'cowbell'],
          [35, null],
        ]),
      ),
    ).toEqual(['cowbell', null]);
  });

  it('what was written comes back: onsets, voices and limbs of all that ships', () => {
    const plain = SHIPPED_PIECES.filter(
      ({ exercise }) =>
        exercise.feel.kind === 'straight' &&
        exercise.strokes.every(
          ({ ornament, at, tail }) => !ornament && !tail && at % slotTicks('32') === 0,
        ),
    );
    expect(plain.length).toBeGreaterThan(40);
    for (const piece of plain) {
      const { score } = must(readMidi(writeMidi('All', [piece]), '32'));
      const rows = score.parts[0]?.bars.flatMap(({ strokes }, bar) =>
        strokes.map(({ at, limb, voice: id, dynamic }) =>
          [at + bar * piece.exercise.barTicks, limb, id && voice(id).midi, dynamic].join(' '),
        ),
      );
      const meant = piece.exercise.strokes.map(({ at, limb, voice: id, dynamic }) =>
        [at, limb, voice(id).midi, dynamic].join(' '),
      );
      expect(rows?.sort()).toEqual(meant.sort());
    }
  });

  it('drums become an exercise, markers cut it, anything else is a line', () => {
    const two = SHIPPED_PIECES.filter(({ name }) => name === 'rock-8ths' || name === 'rock-16ths');
    const { score, grid } = must(readMidi(writeMidi('Two', two), '16'));
    const choice = likelyChoice(score, 0, grid);
    const { drafts } = draftsOf(score, choice, grid);
    expect(drafts.map(({ name, kind }) => `${name} ${kind}`)).toEqual(
      two.map(({ name }) => `${name} exercise`),
    );
    const [first] = drafts;
    if (first?.kind !== 'exercise') throw new Error(first?.kind);
    const back = must(expand(first.recipe));
    const rows = (all: readonly { at: number; limb: string; voice: string }[]) =>
      all.map(({ at, limb, voice: id }) => `${at} ${limb} ${id}`).sort();
    expect(rows(back.strokes)).toEqual(rows(two[0]?.exercise.strokes ?? []));
    const melody = must(
      readMidi(
        file(
          [
            [0, 60],
            [480, 64],
          ],
          0,
        ),
        '8',
      ),
    );
    expect(likelyChoice(melody.score, 0, '8').as).toBe('line');
  });

  it('running status is read; the same note twice on a slot is one', () => {
    const track = [0, 0x99, 38, 100, 0x60, 38, 90, 0x60, 38, 0, 0, 0xff, 0x2f, 0];
    const head = [0x4d, 0x54, 0x68, 0x64, 0, 0, 0, 6, 0, 0, 0, 1, 0, 96];
    const bytes = Uint8Array.from([
      ...head,
      0x4d,
      0x54,
      0x72,
      0x6b,
      0,
      0,
      0,
      track.length,
      ...track,
    ]);
    const { notes } = must(readMidi(bytes, '8'));
    expect(notes.map(({ bar, slot }) => [bar, slot])).toEqual([
      [1, 0],
      [1, 2],
    ]);
    const twice = must(
      readMidi(
        file([
          [0, 38],
          [10, 38],
        ]),
        '8',
      ),
    );
    const { left, drafts } = draftsOf(
      twice.score,
      { part: 0, as: 'exercise', voice: null, cut: 'whole' },
      '8',
    );
    expect(drafts).toHaveLength(1);
    expect(left).toContainEqual({ why: 'met', bars: ['1'], count: 1 });
  });

  const good = file([
    [0, 38],
    [480, 36],
  ]);
  const frames = Uint8Array.from(good);
  frames[12] = 0xe7;
  it.each([
    ['cut off', good.subarray(0, good.length - 5), 'file-midi'],
    ['empty', new Uint8Array(), 'file-midi'],
    ['another file', new TextEncoder().encode('this is no music at all'), 'file-midi'],
    ['frames a second', frames, 'file-frames'],
    ['no notes', file([]), 'file-silent'],
    [
      'endless',
      file([
        [0, 38],
        [480 * 4 * 3000, 38],
      ]),
      'file-long',
    ],
  ])('%s is refused, with what is wrong', (_, bytes, code) => {
    const result = readMidi(bytes, null);
    expect(result.ok ? [] : result.issues.map((one) => one.code)).toEqual([code]);
  });

  it('damaged files are refused or read, and nothing throws', () => {
    const bytes = writeMidi('All', SHIPPED_PIECES.slice(0, 3));
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(bytes.length - 1), fc.nat(255)), { maxLength: 6 }),
        fc.nat(bytes.length),
        (changes, length) => {
          const altered = Uint8Array.from(bytes);
          for (const [at, byte] of changes) altered[at] = byte;
          readMidi(altered, null);
          readMidi(altered.subarray(0, length), '16');
        },
      ),
      { numRuns: samples(2000), seed: 5 },
    );
  });
});

describe('putOn', () => {
  it.each([
    [0.26, '16', 1, false],
    [0.37, '16', 1, true],
    [0.34, '8t', 1, false],
  ] as const)('%d of a quarter on %s is slot %d', (at, grid, slot, doubtful) => {
    expect(putOn(at, grid)).toMatchObject({ slot, doubtful });
  });
});
