import { readFileSync, writeFileSync } from 'node:fs';
import { familyOf, openFamily, readFamily, type OpenedFamily } from '@/core/family';
import type { Issue, Result } from '@/core/issue';
import { close, readRecipe } from '@/core/recipe';
import { sayIssues } from '@/words';
import { SAY } from './say';

/** Where a command reads and writes; tests give their own. */
export interface Io {
  readonly stdin: () => Uint8Array;
  readonly out: (text: string | Uint8Array) => void;
  readonly err: (text: string) => void;
}

export const PROCESS: Io = {
  stdin: () => readFileSync(0),
  out: (text) => void process.stdout.write(text),
  err: (text) => void process.stderr.write(text),
};

/** What is wrong with what was given; ends the command with 1. */
export class Wrong extends Error {
  constructor(
    readonly issues: readonly Issue[],
    /** In front of what is wrong: which file, or where. */
    readonly where = '',
  ) {
    super(sayIssues(SAY, issues));
  }
}

/** Something that is no matter of music: a file that is not there, a name that nobody has. */
export class Missing extends Error {}

/** @throws Wrong with what is wrong */
export function need<T>(result: Result<T>, where = ''): T {
  if (result.ok) return result.value;
  throw new Wrong(result.issues, where);
}

/** The bytes of a file; `-` is standard input. @throws Missing */
export function bytesFrom(io: Io, file: string): Uint8Array {
  if (file === '-') return io.stdin();
  try {
    return readFileSync(file);
  } catch {
    throw new Missing(SAY.t('commandLine.noFile', { file }));
  }
}

export function textFrom(io: Io, file: string): string {
  return new TextDecoder().decode(bytesFrom(io, file)).replace(/^\uFEFF/, '');
}

/** JSON of a file. @throws Wrong with the line that cannot be read */
export function jsonFrom(io: Io, file: string): unknown {
  const text = textFrom(io, file);
  try {
    return JSON.parse(text) as unknown;
  } catch (error) {
    const place = /position (\d+)/.exec(String(error))?.[1];
    const line = text.slice(0, Number(place ?? text.length)).split('\n').length;
    throw new Wrong([{ code: 'file-unreadable', path: [], line }], file);
  }
}

/** A family as JSON: its base and its axes are enough. @throws Wrong */
export function familyFrom(json: object, where: string): OpenedFamily {
  const base = need(close(need(readRecipe((json as { base?: unknown }).base), where)), where);
  return need(openFamily(need(readFamily({ ...familyOf(base), ...json, base }), where)), where);
}

/** Writes to a file; `-` is standard output. */
export function writeTo(io: Io, file: string, content: string | Uint8Array): void {
  if (file === '-') io.out(content);
  else writeFileSync(file, content);
}
