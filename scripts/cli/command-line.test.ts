import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import tone from '@tonejs/midi';
import Database from 'better-sqlite3';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { must } from '@/core/issue';
import { closeDb, openDb } from '@/db';
import { openFirst, setupCode } from '@/server';
import { seedDemo } from '@/server/demo';
import { cells } from '@/server/studio.fixture';
import { runCommandLine } from './command-line';

const NOW = Date.UTC(2026, 1, 2, 12);

let data = '';
let before: string | undefined;

beforeAll(() => {
  before = process.env.MIVVEL_DATA;
  data = mkdtempSync(join(tmpdir(), 'mivvel-cli-'));
  const db = openDb(join(data, 'mivvel.sqlite'));
  seedDemo(db, NOW, 'UTC');
  closeDb(db);
});

afterAll(() => {
  process.env.MIVVEL_DATA = before;
  rmSync(data, { recursive: true, force: true });
});

/** Runs a command as a shell does. */
async function run(words: readonly string[], stdin: string | Uint8Array = '') {
  const out: (string | Uint8Array)[] = [];
  const err: string[] = [];
  const code = await runCommandLine(
    {
      stdin: () => (typeof stdin === 'string' ? new TextEncoder().encode(stdin) : stdin),
      out: (text) => out.push(text),
      err: (text) => err.push(text),
    },
    words,
  );
  const bytes = Buffer.concat(out.map((one) => Buffer.from(one)));
  const lines = bytes.toString('utf8').split('\n').filter(Boolean);
  return { code, bytes, lines, err: err.join('') };
}

const json = (lines: readonly string[]) =>
  lines.map((one) => JSON.parse(one) as Record<string, unknown>);

describe('expand', () => {
  it('a recipe is a line: sentence, strokes, all that is read back', async () => {
    const { code, lines } = await run(['expand', '-'], JSON.stringify(cells()));
    expect(code).toBe(0);
    const [one = {}] = json(lines);
    expect(lines).toHaveLength(1);
    expect(one).toMatchObject({
      meter: '4/4',
      bars: 1,
      cycleTicks: 80640,
      bpm: 60,
      line: 'RLLKKL RLLK RL RLLK',
    });
    expect(one).toHaveProperty('lockUp');
    expect(one['strokes']).toHaveLength(18);
    // The line begins with a right hand on the snare, accented; the foot closes the hi-hat on 2.
    expect((one['strokes'] as unknown[])[0]).toEqual({
      ...{ at: 0, sounds: 0, limb: 'RH', voice: 'snare', dynamic: 'accent', from: 'line' },
    });
    expect(one['strokes']).toContainEqual({
      ...{ at: 20160, sounds: 20160, limb: 'LF', voice: 'hat-foot', dynamic: 'normal' },
      from: 'over',
    });
    const { points, parts } = one['difficulty'] as {
      points: number;
      parts: { points: number }[];
    };
    expect(Math.round(parts.reduce((sum, part) => sum + part.points, 0) * 100) / 100).toBe(points);
    expect(one?.['recipe']).toEqual(cells());
  });

  it('a family is a line for each member, as many as asked for', async () => {
    const family = {
      base: {
        ...cells(),
        play: null,
        as: { kind: 'verbatim', on: { limb: 'LH', voice: 'snare' } },
      },
      axes: [
        { at: 'play', values: ['4 4 4 4', '2 2', '1'].map((text) => ({ content: { text } })) },
      ],
    };
    const all = await run(['expand', '-'], JSON.stringify(family));
    expect(all.err).toBe('');
    expect(json(all.lines).map((one) => (one['strokes'] as unknown[]).length)).toEqual([6, 4, 3]);
    expect((await run(['expand', '-', '--most', '2'], JSON.stringify(family))).lines).toHaveLength(
      2,
    );
  });

  it('a count that is none ends with 1', async () => {
    const { code, err } = await run(['expand', '-', '--most', 'few'], JSON.stringify(cells()));
    expect(code).toBe(1);
    expect(err).toContain('few');
  });

  it.each([
    ['no JSON', '{"a":\n[', 'Line 2'],
    ['no recipe', '{"version": 1, "kind": "song"}', 'kind'],
  ])('%s ends with 1 and says where', async (_, text, says) => {
    const { code, err } = await run(['expand', '-'], text);
    expect(code).toBe(1);
    expect(err).toContain(says);
    const facts = await run(['expand', '-', '--json'], text);
    expect(JSON.parse(facts.err)).toHaveProperty('issues');
  });
});

describe('export --from', () => {
  const from = (format: string, ...more: readonly string[]) =>
    run(['export', '--from', '-', '--format', format, ...more], JSON.stringify(cells()));

  it('writes the exercises of a file without any studio', async () => {
    const midi = await from('midi', '--bpm', '72');
    expect(new tone.Midi(midi.bytes).header.tempos[0]?.bpm).toBeCloseTo(72, 3);
    const checked = await run(['check', '-'], (await from('musicxml')).bytes);
    expect(checked.lines[0]).toMatch(/^Drums: 1 bars?, exercise/);
    const bundle = await from('bundle');
    expect((await run(['expand', '-'], bundle.bytes)).lines).toHaveLength(1);
    // A bar of count-in and one of the exercise at 120, and what rings on.
    const wav = await from('wav', '--bpm', '120', '--times', '1');
    expect((wav.bytes.length - 44) / 2).toBe(6 * 44_100);
    const pdf = await from('pdf');
    expect(pdf.bytes.subarray(0, 5).toString()).toBe('%PDF-');
  });
});

describe('export --from a family', () => {
  it('of more exercises than a file holds ends with 1, and writes nothing', async () => {
    const slots = [0, 1, 2, 3, 4, 5, 6, 7];
    const texts = Array.from({ length: 256 }, (_, index) =>
      slots.map((slot) => ((index >> slot) & 1 ? '8r' : '8')).join(' '),
    );
    const play = { at: 'play', values: texts.map((text) => ({ content: { text } })) };
    const change = { kind: 'displace', what: 'pattern', part: 'line', by: 1, slot: '8' };
    const by = { kind: 'numbers', change, field: 'by', from: 0, to: 7 };
    const axes = [play, { at: 'change', index: 0, values: [by] }];
    const family = JSON.stringify({ base: cells(), axes });
    const { code, err, bytes } = await run(['export', '--from', '-', '--format', 'midi'], family);
    expect(err).toContain('more than 2,000 exercises');
    expect([code, bytes.length]).toEqual([1, 0]);
  });
});

describe('parse', () => {
  it.each([
    ['4. 4 8 4', ['line']],
    ['K: x--x--x-', ['ostinato', 'ostinato', 'ostinato']],
    ['RLLK RL', ['sticking', 'limbs']],
  ])('%s may mean %j', async (text, kinds) => {
    const { lines } = await run(['parse', text]);
    expect([...new Set(json(lines).map((one) => one['kind']))]).toEqual([...new Set(kinds)]);
  });

  it('what means nothing ends with 1', async () => {
    expect(await run(['parse', '?!'])).toMatchObject({ code: 1, lines: [] });
  });
});

describe('on a studio’s folder', () => {
  const program = 'Cells for the revue';

  it('exports a program in each format, each read back', async () => {
    const midi = await run(['export', '-d', data, '--program', program, '--format', 'midi']);
    expect(new tone.Midi(midi.bytes).tracks.length).toBeGreaterThan(2);
    const xml = await run(['export', '-d', data, '--program', program, '--format', 'musicxml']);
    expect(xml.lines[0]).toContain('<?xml');
    const checked = await run(['check', '-'], xml.bytes);
    expect(checked.lines[0]).toMatch(/^Drums: \d+ bars, exercise, exercise, exercise/);
    const pdf = join(data, 'program.pdf');
    await run(['export', '-d', data, '--program', program, '--format', 'pdf', '--to', pdf]);
    expect(readFileSync(pdf).subarray(0, 5).toString()).toBe('%PDF-');
    const bundle = await run(['export', '-d', data, '--program', program]);
    const expanded = await run(['expand', '-'], bundle.bytes);
    expect(json(expanded.lines).map((one) => one['name'])).toHaveLength(3);
  });

  it('exports the studio with its students, or one of them, and says who is in it', async () => {
    const whole = await run(['export', '-d', data, '--students']);
    const [said] = (await run(['check', '-'], whole.bytes)).lines;
    expect(said).toMatch(/[1-9]\d* students\.$/);
    const one = await run(['export', '-d', data, '--student', 'Pia']);
    expect((await run(['check', '-'], one.bytes)).lines[0]).toContain('1 student');
    const look = await run(['import', '-', '-d', data, '--dry-run'], one.bytes);
    expect(look.lines.join('\n')).toContain('Pia');
    const none = await run(['export', '-d', data]);
    expect((await run(['check', '-'], none.bytes)).lines[0]).toContain('0 students');
  });

  it('exports a program as sound: each exercise twice after a bar of count-in, and what rings on', async () => {
    const wav = ['export', '-d', data, '--program', program, '--format', 'wav'];
    const { code, bytes } = await run(wav);
    expect(code).toBe(0);
    expect(bytes.subarray(0, 4).toString() + bytes.subarray(8, 12).toString()).toBe('RIFFWAVE');
    const frame = (seconds: number) => Math.ceil(seconds * 44_100);
    // Ladders begin at 60, 55 and 50; three bars of four beats each.
    const starts = [0, 12, 12 + (12 * 60) / 55];
    expect((bytes.length - 44) / 2).toBe(frame(12 + (12 * 60) / 55 + (12 * 60) / 50 + 2));
    const samples = new Int16Array(bytes.buffer.slice(bytes.byteOffset + 44));
    const loudest = (from: number, to: number) =>
      samples
        .subarray(frame(from), frame(to))
        .reduce((most, one) => Math.max(most, Math.abs(one)), 0);
    for (const start of starts) expect(loudest(start, start + 0.01)).toBeGreaterThan(3000);
    // Between the first clicks of the count-in nothing sounds.
    expect(loudest(0.5, 0.99)).toBe(0);
    const once = await run([...wav, '--times', '1']);
    expect(once.bytes.length).toBeLessThan(bytes.length);
    expect(await run([...wav, '--times', '0'])).toMatchObject({ code: 1 });
    const long = await run([...wav, '--times', '1000']);
    expect(long).toMatchObject({ code: 1, lines: [] });
    // 12,012 beats: 4,004 of 1 s, of 60/55 s and of 1.2 s.
    expect(long.err).toContain('220 minutes');
  });

  it('imports what was looked at, once it is meant', async () => {
    const xml = await run(['export', '-d', data, '--program', program, '--format', 'musicxml']);
    const count = async () => {
      const { lines } = await run(['export', '-d', data]);
      const { exercises } = JSON.parse(lines.join('\n')) as { exercises: unknown[] };
      return exercises.length;
    };
    const there = await count();
    const words = ['import', '-', '-d', data, '--cut', 'signs'];
    const dry = await run([...words, '--dry-run'], xml.bytes);
    expect(dry.lines.filter((one) => one.startsWith('exercise: '))).toHaveLength(3);
    expect(await count()).toBe(there);
    const taken = await run(words, xml.bytes);
    expect(taken.err).toContain('Came in: 0 programs, 3 exercises');
    expect(await count()).toBe(there + 3);
  });

  it('plans, as text and as JSON', async () => {
    const { lines } = await run(['plan', '-d', data, '--student', 'Deniz', '--json']);
    const [day] = json(lines);
    expect(day?.['day']).toMatch(/^\d{4}-\d{2}-\d{2}$/);
    expect(day).toHaveProperty('seconds');
    expect((await run(['plan', '-d', data, '--student', 'Deniz'])).lines).toHaveLength(
      lines.length,
    );
  });

  it('backs up and restores; what was there is kept', async () => {
    const backup = join(data, 'monday.sqlite');
    expect(await run(['backup', backup, '-d', data])).toMatchObject({ code: 0 });
    expect(await run(['backup', backup, '-d', data])).toMatchObject({ code: 1 });
    // Somebody is still reading what stood before: the log beside the file cannot be emptied.
    const reader = new Database(join(data, 'mivvel.sqlite'));
    reader.exec('begin; select * from exercise');
    reader.prepare('select * from exercise').all();
    await run(
      ['import', '-', '-d', data],
      JSON.stringify({
        format: 'mivvel',
        version: 1,
        materials: [],
        exercises: [{ name: 'Later', recipe: cells() }],
        programs: [],
      }),
    );
    const names = async () => (await run(['export', '-d', data])).bytes.toString();
    expect(await names()).toContain('"Later"');
    expect(await run(['restore', backup, '-d', data])).toMatchObject({ code: 0 });
    expect(await names()).not.toContain('"Later"');
    const kept = readdirSync(data).filter((one) => /^mivvel\.before-.*sqlite$/.test(one));
    expect(kept).toHaveLength(1);
    // What was there is whole, although the app has it open and all of it stood in the log beside the file.
    const was = new Database(join(data, kept[0] ?? ''), { readonly: true });
    expect(was.prepare("select name from exercise where name = 'Later'").all()).toHaveLength(1);
    was.close();
    reader.close();
    const broken = join(data, 'broken.sqlite');
    writeFileSync(broken, readFileSync(backup).subarray(0, 5000));
    const refused = await run(['restore', broken, '-d', data]);
    expect(refused).toMatchObject({ code: 1 });
    expect(await names()).toContain('"format": "mivvel"');
  });

  it.each([
    [['export', '-d', '/nowhere'], 'mivvel.sqlite'],
    [['plan', '--student', 'Nobody'], 'There is no student Nobody'],
    [['export', '--program', 'None', '--format', 'midi'], 'There is no program None'],
  ])('%j ends with 1 and says what there is', async (words, says) => {
    const { code, err } = await run(words.includes('-d') ? words : [...words, '-d', data]);
    expect(code).toBe(1);
    expect(err).toContain(says);
    expect(existsSync('/nowhere')).toBe(false);
  });
});

describe('help', () => {
  it.each(['expand', 'parse', 'check', 'export', 'import', 'plan', 'backup', 'restore'])(
    '%s has an example',
    async (name) => {
      const { code, bytes } = await run([name, '--help']);
      expect(code).toBe(0);
      expect(bytes.toString()).toContain(`npm run -s mivvel -- ${name}`);
    },
  );

  it('a wrong command ends with 2', async () => {
    expect(await run(['frobnicate'])).toMatchObject({ code: 2 });
    expect(await run(['export', '--format', 'mp3'])).toMatchObject({ code: 2 });
    const both = ['export', '--students', '--student', 'Pia'];
    expect(await run(both)).toMatchObject({ code: 2 });
  });
});

describe('what is wrong with files and disks', () => {
  const nested = (open: string, close: string) => open.repeat(200_000) + close.repeat(200_000);
  let odd = '';

  beforeAll(() => {
    odd = mkdtempSync(join(tmpdir(), 'mivvel-odd-'));
    writeFileSync(join(odd, 'mivvel.sqlite'), 'x'.repeat(9000));
    writeFileSync(join(odd, 'file'), '');
  });

  afterAll(() => rmSync(odd, { recursive: true, force: true }));

  it.each([
    ['expand', '-'],
    ['check', '-'],
    ['export', '--from', '-'],
  ])('%s says what is nested without end, in words', async (...words) => {
    for (const text of [nested('[', ']'), nested('{"base":', '}').replace('}', '1}'), '[[[[']) {
      const { code, err } = await run(words, text);
      expect(code).toBe(1);
      expect(err).toMatch(/^[^\n]{20,300}\n/);
      expect(err).not.toMatch(/\n\s+at |RangeError/);
    }
  });

  it.each([
    [/damaged/, ['export', '-d', 'ODD']],
    [/damaged/, ['doctor', '-d', 'ODD']],
    [/damaged/, ['backup', 'ODD/one.sqlite', '-d', 'ODD']],
    [/holds no mivvel.sqlite/, ['doctor', '-d', 'ODD/nowhere']],
    [/ENOTDIR|EEXIST/, ['backup', 'ODD/file/one.sqlite', '-d', 'DATA']],
    [/ENOTDIR/, ['export', '-d', 'DATA', '--to', 'ODD/file/out.json']],
    [/no studio file/, ['restore', 'ODD/file', '-d', 'ODD/new']],
  ])('%s: %j', async (says, words) => {
    const { code, err } = await run(
      words.map((word) => word.replace('ODD', odd).replace('DATA', data)),
    );
    expect(err).toMatch(says);
    expect(code).toBe(1);
    expect(readdirSync(odd).filter((name) => /part|coming|one/.test(name))).toEqual([]);
  });

  it('doctor finds a studio well, and says how old its backup is', async () => {
    const { code, err } = await run(['doctor', '-d', data]);
    expect(code).toBe(0);
    expect(err).toContain('is whole, and can be read and written.');
    expect(err).toContain('There is no backup yet.');
  });

  it('password makes a link for whom the studio knows, and says so of whom it does not', async () => {
    const own = mkdtempSync(join(tmpdir(), 'mivvel-cli-own-'));
    const db = openDb(join(own, 'mivvel.sqlite'));
    const email = 'ada@mole-end.example';
    const studio = { studio: 'Mole End', teacher: 'Ada', zone: 'UTC', code: setupCode() };
    const typed = { ...studio, email, password: 'four plain words here' };
    must(await openFirst({ db, now: Date.now }, typed, { agent: '', address: '10.9.9.9' }));
    closeDb(db);
    const made = await run(['password', email, '-d', own]);
    expect(made.lines.join()).toMatch(/^\/reset\/\w+$/);
    expect(made.code).toBe(0);
    const nobody = await run(['password', 'x@y.example', '-d', own]);
    expect(nobody.code).toBe(1);
    expect(nobody.err).toContain('Nobody signs in as x@y.example');
    expect(nobody.bytes.length).toBe(0);
    rmSync(own, { recursive: true });
  });
});
