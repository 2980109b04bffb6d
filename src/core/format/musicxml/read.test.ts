import fc from 'fast-check';
import { zipSync, strToU8 } from 'fflate';
import { VerovioToolkit } from 'verovio/esm';
import createVerovioModule from 'verovio/wasm';
import { beforeAll, describe, expect, it } from 'vitest';
import { samples, some } from '../../../samples.fixture';
import { must, type Result } from '../../issue';
import { voice } from '../../kit';
import { expand } from '../../recipe';
import { RECIPES } from '../../recipe/recipes.fixture';
import { TICKS_PER_QUARTER } from '../../time';
import type { Piece } from '../piece';
import { pieceOf, SHIPPED_PIECES } from '../pieces.fixture';
import { draftsOf, playOrder, type Choice, type Score } from '../score';
import { readMusicXml, writeMusicXml } from '.';

const read = (xml: string) => readMusicXml(strToU8(xml));

/** A part on one staff. */
function part(measures: readonly string[], head = ''): string {
  const bars = measures.map((inside, at) => `<measure number="${at + 1}">${inside}</measure>`);
  return (
    '<?xml version="1.0"?><score-partwise version="4.0"><part-list><score-part id="P1">' +
    `<part-name>Drumset</part-name>${head}</score-part></part-list><part id="P1">` +
    `${bars.join('')}</part></score-partwise>`
  );
}

const FOUR =
  '<attributes><divisions>12</divisions><time><beats>4</beats><beat-type>4</beat-type></time></attributes>';

const TYPES = { 48: 'whole', 24: 'half', 12: 'quarter', 6: 'eighth', 3: '16th' } as const;

function note(duration: keyof typeof TYPES, more = '', after = ''): string {
  const step =
    '<unpitched><display-step>C</display-step><display-octave>5</display-octave></unpitched>';
  return `<note>${more || step}<duration>${duration}</duration><voice>1</voice><type>${TYPES[duration]}</type>${after}</note>`;
}

const REST = '<rest/>';

function linesOf(score: Result<Score>, choice: Partial<Choice> = {}): readonly string[] {
  const { drafts } = draftsOf(
    must(score),
    { part: 0, as: 'line', voice: '1', cut: 'whole', ...choice },
    null,
  );
  return drafts.flatMap((one) => (one.kind === 'line' ? [one.text] : []));
}

let engraver: VerovioToolkit;

beforeAll(async () => {
  engraver = new VerovioToolkit(await createVerovioModule());
});

describe('readMusicXml', () => {
  it('what was written comes back stroke by stroke: all that ships, and random exercises', () => {
    const random = fc
      .sample(RECIPES, { numRuns: samples(100), seed: 19 })
      .flatMap((recipe, index) => {
        const made = expand(recipe);
        return made.ok ? [pieceOf(`Piece ${index}`, made.value)] : [];
      });
    let compared = 0;
    for (const piece of [...some(SHIPPED_PIECES), ...random]) {
      const score = must(read(writeMusicXml('All', [piece])));
      const { drafts, left } = draftsOf(
        score,
        { part: 0, as: 'exercise', voice: null, cut: 'signs' },
        null,
      );
      const [draft] = drafts;
      if (draft?.kind !== 'exercise') {
        expect(left.map(({ why }) => why)).toContain('grid');
        continue;
      }
      if (!isWritable(piece.exercise)) continue;
      const back = must(expand(draft.recipe));
      // What repeats within it goes round sooner.
      const times = piece.exercise.cycleTicks / back.cycleTicks;
      const rounds = Array.from({ length: times }, (_, nth) =>
        back.strokes.map(({ at, voice }) => ({ at: at + nth * back.cycleTicks, voice })),
      );
      expect(struck(rounds.flat())).toEqual(struck(piece.exercise.strokes));
      compared += 1;
    }
    expect(compared).toBeGreaterThan(samples(110));
  });

  const struck = (strokes: readonly { readonly at: number; readonly voice: string }[]) =>
    [...new Set(strokes.map(({ at, voice }) => `${at} ${voice}`))].sort();

  /** Where no value is short enough, notation writes the nearest 64th; two things on one surface at once are one in an
   * exercise. */
  function isWritable({ strokes }: Piece['exercise']): boolean {
    const surfaces = new Map(
      strokes.map((one) => [`${one.at} ${voice(one.voice).surface}`, one.voice]),
    );
    return strokes.every(
      ({ at, voice: id }) =>
        [2520, 1680, 4032, 2880].some((grid) => at % grid === 0) &&
        surfaces.get(`${at} ${voice(id).surface}`) === id,
    );
  }

  it('hands, dynamics and ornaments come back, too', () => {
    const [piece] = SHIPPED_PIECES.filter(({ name }) => name === 'rock-8ths');
    if (!piece) throw new Error('rock-8ths');
    const strokes = piece.exercise.strokes.map((one, index) => ({
      ...one,
      dynamic: (['ghost', 'tap', 'normal', 'accent'] as const)[index % 4] ?? 'normal',
      ...(one.voice === 'snare' && {
        ornament: (['flam', 'drag', 'ruff', 'ruff4'] as const)[index % 4],
      }),
    }));
    const xml = writeMusicXml('One', [{ ...piece, exercise: { ...piece.exercise, strokes } }]);
    const { strokes: back } = must(read(xml)).parts[0]?.bars[0] ?? { strokes: [] };
    const rows = (
      all: readonly { at: number; voice: unknown; dynamic: unknown; ornament?: unknown }[],
    ) =>
      all
        .map(({ at, voice, dynamic, ornament }) => [at, voice, dynamic, ornament ?? null].join(' '))
        .sort();
    const first = strokes.filter(({ at }) => at < piece.exercise.barTicks);
    // Two limbs that share a column share a note only where they share a voice.
    expect(rows(back)).toEqual(rows(first));
  });

  it('an engraver (verovio) and ours agree when notes of any file begin', () => {
    const value = fc.constantFrom<keyof typeof TYPES>(24, 12, 6, 3);
    const bar = fc
      .array(fc.tuple(value, fc.boolean()), { minLength: 1, maxLength: 16 })
      .map((values) => {
        let room = 48;
        const taken: string[] = [];
        for (const [length, isRest] of values) {
          if (length > room) continue;
          room -= length;
          taken.push(note(length, isRest ? REST : ''));
        }
        while (room > 0) {
          taken.push(note(3));
          room -= 3;
        }
        return taken.join('');
      });
    const repeat = (direction: string) =>
      `<barline location="${direction === 'forward' ? 'left' : 'right'}"><repeat direction="${direction}"/></barline>`;
    fc.assert(
      fc.property(fc.array(bar, { minLength: 4, maxLength: 4 }), fc.nat(2), (bars, from) => {
        const xml = part(
          bars.map(
            (inside, at) =>
              (at === 0 ? FOUR : '') +
              (at === from ? repeat('forward') : '') +
              inside +
              (at === 2 ? repeat('backward') : ''),
          ),
        );
        expect(engraver.loadData(xml)).toBeTruthy();
        const theirs = engraver
          .renderToTimemap({})
          .flatMap(({ qstamp, on }) =>
            on && on.length > 0 ? [Math.round(qstamp * 100) / 100] : [],
          );
        const score = read(xml);
        if (!score.ok) return expect(theirs).toEqual([]);
        const [only] = score.value.parts;
        const ours = playOrder(only?.bars ?? [], false).flatMap((index, nth) =>
          (only?.bars[index]?.strokes ?? []).map(({ at }) => nth * 4 + at / TICKS_PER_QUARTER),
        );
        expect(ours).toEqual(theirs);
      }),
      { numRuns: samples(25), seed: 7 },
    );
  });

  it('a line stands as it is written: rests, dots, ties and tuplets', () => {
    const three =
      '<time-modification><actual-notes>3</actual-notes><normal-notes>2</normal-notes></time-modification>';
    const triplet = `<note><unpitched/><duration>4</duration><voice>1</voice><type>eighth</type>${three}</note>`;
    const dotted =
      '<note><unpitched/><duration>18</duration><voice>1</voice><type>quarter</type><dot/></note>';
    const xml = part([
      FOUR +
        dotted +
        note(6, REST) +
        triplet.repeat(3) +
        note(12, '', '').replace('<voice>', '<tie type="start"/><voice>'),
      note(12).replace('<voice>', '<tie type="stop"/><voice>') + note(12, REST) + note(24),
    ]);
    expect(linesOf(read(xml))).toEqual(['4. 8r 3(8 8 8) 4~ | 4 4r 2']);
    const [bar] = must(read(xml)).parts[0]?.bars.slice(1) ?? [];
    // What is tied over is not struck again.
    expect(bar?.strokes.map(({ at }) => at / TICKS_PER_QUARTER)).toEqual([2]);
  });

  it('repeats and endings are written out, or cut into what goes round', () => {
    const ending = (number: string, type: string) =>
      `<barline location="${type === 'start' ? 'left' : 'right'}"><ending number="${number}" type="${type}"/>${
        type === 'stop' && number === '1' ? '<repeat direction="backward"/>' : ''
      }</barline>`;
    const xml = part([
      `${FOUR}<barline location="left"><repeat direction="forward"/></barline>${note(48)}`,
      ending('1', 'start') + note(24).repeat(2) + ending('1', 'stop'),
      ending('2', 'start') + note(12).repeat(4) + ending('2', 'stop'),
      note(24, REST) + note(24),
    ]);
    expect(linesOf(read(xml))).toEqual(['1 | 2 2 | 1 | 4 4 4 4 | 2r 2']);
    const plain = part([
      `${FOUR}${note(48)}<barline location="right"><repeat direction="backward"/></barline>`,
      note(24).repeat(2),
    ]);
    expect(linesOf(read(plain))).toEqual(['1 | 1 | 2 2']);
    expect(linesOf(read(plain), { cut: 'signs' })).toEqual(['1', '2 2']);
  });

  it('a tie over a cut is struck anew after it, and that is said', () => {
    const tied = (type: string) => note(24).replace('<voice>', `<tie type="${type}"/><voice>`);
    const score = read(part([FOUR + note(24) + tied('start'), tied('stop') + note(24)]));
    const choice = { part: 0, as: 'line', voice: '1', cut: 1 } as const;
    expect(linesOf(score, choice)).toEqual(['2 2', '2 2']);
    const { left } = draftsOf(must(score), choice, null);
    expect(left).toContainEqual({ why: 'tie', bars: ['1'], count: 1 });
  });

  it('names each bar of slashes, a tempo, and signs of loudness: none of them come in', () => {
    const slash = (type: string) =>
      `<attributes><measure-style><slash type="${type}"/></measure-style></attributes>`;
    const said =
      '<direction><direction-type><dynamics><p/></dynamics></direction-type></direction>';
    const { left } = must(
      read(
        part([
          `${FOUR}<direction><direction-type><words>Go</words></direction-type><sound tempo="90"/></direction>${said}${note(48)}`,
          slash('start') + note(48),
          note(48),
          slash('stop') + note(48),
        ]),
      ),
    ).parts[0] ?? { left: [] };
    expect(left).toContainEqual({ why: 'slash', bars: ['2', '3'], count: 2 });
    expect(left).toContainEqual({ why: 'tempo', bars: ['1'], count: 1 });
    expect(left).toContainEqual({ why: 'loudness', bars: ['1'], count: 1 });
  });

  it('a bar that repeats the one before it is played so', () => {
    const style = (type: string) =>
      `<attributes><measure-style><measure-repeat type="${type}">1</measure-repeat></measure-style></attributes>`;
    const xml = part([FOUR + note(24).repeat(2), style('start'), '', style('stop') + note(48)]);
    expect(linesOf(read(xml))).toEqual(['2 2 | 2 2 | 2 2 | 1']);
  });

  it('a pickup has rests before it, and that is said', () => {
    const xml = part([FOUR + note(12), note(48)]);
    expect(linesOf(read(xml))).toEqual(['2.r 4 | 1']);
    expect(must(read(xml)).parts[0]?.left).toContainEqual({ why: 'short', bars: ['1'], count: 1 });
  });

  it('of pitches the rhythm alone is taken; unknown instruments are named by their key', () => {
    const pitch = '<pitch><step>C</step><octave>4</octave></pitch>';
    const melody = must(read(part([FOUR + note(24, pitch).repeat(2)])));
    expect(melody.parts[0]).toMatchObject({ isKit: false, left: [{ why: 'pitch', count: 2 }] });
    expect(linesOf(read(part([FOUR + note(24, pitch).repeat(2)])))).toEqual(['2 2']);
    const head =
      '<score-instrument id="I1"><instrument-name>Tambourine</instrument-name></score-instrument>' +
      '<score-instrument id="I2"><instrument-name>Kick</instrument-name></score-instrument>' +
      '<midi-instrument id="I1"><midi-unpitched>55</midi-unpitched></midi-instrument>' +
      '<midi-instrument id="I2"><midi-unpitched>36</midi-unpitched></midi-instrument>';
    const struck = (id: string) => note(24, '', `<instrument id="${id}"/>`);
    const kit = must(read(part([FOUR + struck('I1') + struck('I2')], head)));
    expect(kit.parts[0]?.bars[0]?.strokes.map(({ voice }) => voice)).toEqual([null, 'bass']);
    expect(kit.parts[0]?.left).toEqual([
      { why: 'key', key: 54, bars: ['1'], count: 1 },
      { why: 'nearest', key: 35, voice: 'bass', bars: ['1'], count: 1 },
    ]);
  });

  it('packed files and scores by bars are read the same', () => {
    const xml = part([FOUR + note(24).repeat(2)]);
    const packed = zipSync({
      'META-INF/container.xml': strToU8(
        '<container><rootfiles><rootfile full-path="score.xml"/></rootfiles></container>',
      ),
      'other.xml': strToU8('<x/>'),
      'score.xml': strToU8(xml),
    });
    expect(must(readMusicXml(packed))).toEqual(must(read(xml)));
    const byBars = xml
      .replace(/score-partwise/g, 'score-timewise')
      .replace('<part id="P1"><measure number="1">', '<measure number="1"><part id="P1">')
      .replace('</measure></part>', '</part></measure>');
    expect(must(read(byBars))).toEqual(must(read(xml)));
  });

  it('numbers that nobody writes are not believed, and nothing throws', () => {
    const wild = fc.constantFrom('1e300', '-5', '0', '1e-300', '3.7', '99999999999', 'x', '');
    const time = (played: string, inTimeOf: string) =>
      `<time-modification><actual-notes>${played}</actual-notes><normal-notes>${inTimeOf}</normal-notes></time-modification>`;
    fc.assert(
      fc.property(
        fc.tuple(wild, wild, wild, wild, wild),
        ([divisions, duration, back, played, inTimeOf]) => {
          const odd = `<note><unpitched/><duration>${duration}</duration><voice>1</voice><type>quarter</type>${time(played, inTimeOf)}</note>`;
          const xml = part([
            FOUR.replace('12', divisions) + note(12) + odd,
            `<backup><duration>${back}</duration></backup>${odd}${note(12)}`,
          ]);
          const score = read(xml);
          if (!score.ok) return;
          for (const as of ['line', 'exercise'] as const) {
            draftsOf(score.value, { part: 0, as, voice: '1', cut: 'whole' }, null);
          }
        },
      ),
      { numRuns: samples(300), seed: 2 },
    );
  });

  const good = part([FOUR + note(48)]);
  it.each([
    ['cut off', good.slice(0, -40), 'file-unreadable'],
    ['another kind of XML', '<html><p/></html>', 'file-other'],
    ['no XML', 'a,b,c', 'file-unreadable'],
    [
      'entities',
      good.replace('<score-part', '<!DOCTYPE x [<!ENTITY a "aaaa">]><score-part'),
      'file-entities',
    ],
    ['nested for ever', '<a>'.repeat(5000) + '</a>'.repeat(5000), 'file-deep'],
    ['only rests', part([FOUR + note(48, REST)]), 'file-silent'],
    ['unknown letters', good.replace('?>', ' encoding="ebcdic"?>'), 'file-encoding'],
  ])('%s is refused, with what is wrong', (_, xml, code) => {
    const result = read(xml);
    expect(result.ok ? [] : result.issues.map((one) => one.code)).toEqual([code]);
  });

  const packedWith = (container: string, score = '<score-partwise/>') =>
    zipSync({ 'META-INF/container.xml': strToU8(container), 'score.xml': strToU8(score) });

  it('a container that never says which file is the score is not searched for long', () => {
    const endless = packedWith('<rootfile '.repeat(1_000_000));
    expect(endless.length).toBeLessThan(50_000);
    expect(readMusicXml(endless)).toMatchObject({ ok: false });
    const small = packedWith('<rootfile '.repeat(6000));
    expect(readMusicXml(small)).toMatchObject({ ok: false });
  });

  it('a container names the score by its path, whatever stands before it', () => {
    const score = writeMusicXml('One', SHIPPED_PIECES.slice(0, 1));
    const bytes = zipSync({
      'META-INF/container.xml': strToU8(
        '<container><rootfiles><rootfile full-path="b/score.xml"/><rootfile full-path="a.xml"/></rootfiles></container>',
      ),
      'a.xml': strToU8('<other/>'),
      'b/score.xml': strToU8(score),
    });
    expect(readMusicXml(bytes)).toMatchObject({ ok: true });
  });

  it('millions of elements with nothing in them are refused before they fill the memory', () => {
    const nothing = packedWith('', `<score-partwise>${'<a/>'.repeat(4_000_000)}</score-partwise>`);
    expect(nothing.length).toBeLessThan(100_000);
    const read = readMusicXml(nothing);
    expect(read.ok ? [] : read.issues).toEqual([{ code: 'file-nodes', path: [], most: 1_000_000 }]);
  });

  it('what unpacks to far more than it is, is stopped on the way', () => {
    const bomb = zipSync({ 'score.xml': new Uint8Array(30_000_000) });
    expect(bomb.length).toBeLessThan(1_000_000);
    // What is collected, and when, is not ours: the least of a few is what the reading itself holds.
    const grown = [1, 2, 3, 4].map(() => {
      const before = process.memoryUsage().arrayBuffers;
      const result = readMusicXml(bomb);
      expect(result.ok ? [] : result.issues.map((one) => one.code)).toEqual(['file-large']);
      return process.memoryUsage().arrayBuffers - before;
    });
    expect(Math.min(...grown)).toBeLessThan(60_000_000);
  });

  it('damaged files are refused or read, and nothing throws', () => {
    const xml = strToU8(writeMusicXml('All', SHIPPED_PIECES.slice(0, 3)));
    const small = xml.subarray(0, 12_000);
    const packed = zipSync({ 'score.xml': small });
    fc.assert(
      fc.property(
        fc.nat(packed.length - 1),
        fc.nat(255),
        fc.nat(small.length - 1),
        fc.nat(400),
        (at, byte, from, length) => {
          const altered = Uint8Array.from(packed);
          altered[at] = byte;
          readMusicXml(altered);
          const cut = new Uint8Array(small.length - Math.min(length, small.length - from));
          cut.set(small.subarray(0, from));
          cut.set(small.subarray(small.length - (cut.length - from)), from);
          readMusicXml(cut);
        },
      ),
      { numRuns: samples(400), seed: 3 },
    );
  });
});
