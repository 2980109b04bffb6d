import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { createTranslator } from 'use-intl/core';
import { describe, expect, it } from 'vitest';
import { enForStudents } from './en/for-students';
import { enEverything } from './en/everything';

const SRC = join(import.meta.dirname, '..');

function filesIn(folder: string): readonly string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return entry.name === 'en' ? [] : filesIn(path);
    return /\.tsx?$/.test(entry.name) && !entry.name.includes('.test.') ? [path] : [];
  });
}

type Node = string | { readonly [key: string]: Node };

/** Every message with its key, as `practice.reason.start`. */
function messagesOf(
  node: Node,
  path: readonly string[] = [],
): readonly (readonly [string, string])[] {
  if (typeof node === 'string') return [[path.join('.'), node]];
  return Object.entries(node).flatMap(([key, inner]) => messagesOf(inner, [...path, key]));
}

const MESSAGES = messagesOf(enEverything);

/** Rooms whose parts stand on a student's screens. */
const STUDENT_ROOMS = [
  'base',
  'charts',
  'log',
  'marks',
  'plan',
  'play',
  'record',
  'stand',
  'today',
];

const STUDENTS = new Set(
  messagesOf(enForStudents).map(([key]) => key.split('.').slice(0, 2).join('.')),
);

/** The arguments of a message by their kind, read off its text. */
function argumentsOf(
  message: string,
): ReadonlyMap<string, 'plural' | 'select' | 'number' | 'text'> {
  const found = new Map<string, 'plural' | 'select' | 'number' | 'text'>();
  for (const match of message.matchAll(/\{(\w+)(?:, (plural|select|number)|\})/g)) {
    const [, name = '', kind = 'text'] = match;
    // What stands in the branches of a choice is no argument.
    if (/^(one|other)$/.test(name)) continue;
    if (!found.has(name) || found.get(name) === 'text') found.set(name, kind as 'text');
  }
  return found;
}

const t = createTranslator({
  locale: 'en-GB',
  messages: enEverything as unknown as Record<string, never>,
  onError: (error) => {
    throw error;
  },
});

type Value = string | number | ((chunks: string) => string);
const markup = t.markup as unknown as (key: string, values: Record<string, Value>) => string;

/** What stands where a tag is: its words, or its name where it holds a field. */
function tagsOf(message: string): Record<string, Value> {
  const names = [...message.matchAll(/<(\w+)>/g)].map(([, name = '']) => name);
  return Object.fromEntries(
    names.map((name) => [name, (chunks: string) => String(chunks) || `‹${name}›`]),
  );
}

describe('every message', () => {
  it.each(MESSAGES)('%s can be said, of one and of many', (key, message) => {
    const kinds = argumentsOf(message);
    for (const count of [0, 1, 2, 12000]) {
      const values = Object.fromEntries(
        [...kinds].map(([name, kind]) => [
          name,
          kind === 'text' || kind === 'select' ? `‹${name}›` : count,
        ]),
      );
      const said = markup(key, { ...values, ...tagsOf(message) });
      expect(said).not.toMatch(/[{}#]/);
      expect(said.trim()).toBe(said);
    }
  });

  it('has no straight quotes, no double spaces, and ends a sentence once', () => {
    for (const [key, message] of MESSAGES) {
      expect(message, key).not.toMatch(/["']| {2}|\.\.$/);
    }
  });

  it('is whole: none is glued to what stands before it or after it', () => {
    for (const [key, message] of MESSAGES) {
      expect(message, key).not.toMatch(/^[\s,;:.·)]|[\s,;:(]$/);
    }
  });

  it('of many has its plural: no bare “s” is glued to a number', () => {
    for (const [key, message] of MESSAGES) expect(message, key).not.toMatch(/\}s\b/);
  });

  it('of a student’s screen is among those that a student’s screens load', () => {
    const teachers = MESSAGES.map(([key]) => key.split('.').slice(0, 2).join('.')).filter(
      (key) => !STUDENTS.has(key),
    );
    const files = STUDENT_ROOMS.flatMap((room) => filesIn(join(SRC, 'ui', room)));
    const code = files.map((file) => readFileSync(file, 'utf8')).join('\n');
    expect(
      teachers.filter((key) => code.includes(`'${key}.`) || code.includes(`\`${key}.`)),
    ).toEqual([]);
    expect(teachers.length).toBeGreaterThan(100);
  });

  it('of a screen or of the command line is said somewhere', () => {
    const rooms = ['ui', 'app', 'words', '../scripts/cli'];
    const sources = rooms.flatMap((room) => filesIn(join(SRC, room)));
    const code = sources.map((file) => readFileSync(file, 'utf8')).join('\n');
    const isSaid = (key: string) =>
      code.includes(`'${key}'`) || code.includes(`\`${key.replace(/\.[^.]+$/, '')}.\${`);
    const keys = MESSAGES.map(([key]) => key).filter((key) => /^(screen|commandLine)\./.test(key));
    expect(keys.filter((key) => !isSaid(key))).toEqual([]);
  });
});
