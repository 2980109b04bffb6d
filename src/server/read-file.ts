import {
  draftsOf,
  isMusic,
  likelyChoice,
  readBundle,
  readCsv,
  readMusic,
  voiceOfKey,
  voicesOfPart,
  type Bundle,
  type CsvRow,
  type FileChoices,
  type KeyVoices,
  type Music,
} from '@/core/format';
import { fail, ok, type Result } from '@/core/issue';
import type { FileLook, PartLook } from '@/core/studio';
import { LOG_COLUMNS, ROSTER_COLUMNS } from './table-columns';

/** Most notes of a file that are shown with how far they were off. */
const MOST_NOTES = 300;

/** A file as it was sent. */
export interface SentFile {
  readonly name: string;
  readonly bytes: Uint8Array;
}

/** What a file holds, whoever asks. Music is what it becomes, with all drafts of each part. */
export type FileRead =
  | { readonly kind: 'bundle'; readonly bundle: Bundle }
  | { readonly kind: 'log'; readonly rows: readonly CsvRow<(typeof LOG_COLUMNS)[number]>[] }
  | { readonly kind: 'roster'; readonly rows: readonly CsvRow<(typeof ROSTER_COLUMNS)[number]>[] }
  | Extract<FileLook, { kind: 'music' }>;

/** Whether a file may be a text: no letter of one is a zero, but for those of UTF-16, which begins with a mark. */
function isText(bytes: Uint8Array): boolean {
  const [first, second] = bytes;
  const isWide = (first === 0xff && second === 0xfe) || (first === 0xfe && second === 0xff);
  return isWide || !bytes.subarray(0, 1000).includes(0);
}

/** Reads a file; what it is shows in how it begins, whatever it is called.
 * @returns issues of whatever reads it; `file-other` for what nothing reads */
export function readFile({ name, bytes }: SentFile, choices: FileChoices): Result<FileRead> {
  const begins = new TextDecoder().decode(bytes.subarray(0, 100)).replace(/^\uFEFF/, '');
  if (/^\s*[{[]/.test(begins)) {
    const bundle = readBundle(new TextDecoder().decode(bytes));
    return bundle.ok ? ok({ kind: 'bundle', bundle: bundle.value }) : bundle;
  }
  if (isMusic(bytes)) {
    const music = readMusic(bytes, choices.grid, keysOf(choices));
    return music.ok ? ok(lookOf(music.value, name, choices)) : music;
  }
  if (!isText(bytes)) return fail({ code: 'file-other', path: [] });
  // A table is one of tries by its columns.
  if (readCsv(bytes, LOG_COLUMNS, ['exercise', 'bpm']).ok) {
    const rows = readCsv(bytes, LOG_COLUMNS, ['date', 'exercise', 'bpm']);
    return rows.ok ? ok({ kind: 'log', rows: rows.value }) : rows;
  }
  const rows = readCsv(bytes, ROSTER_COLUMNS, ['name']);
  return rows.ok ? ok({ kind: 'roster', rows: rows.value }) : rows;
}

function keysOf({ keys = [] }: FileChoices): KeyVoices {
  return new Map(keys.map(({ key, voice }) => [key, voice]));
}

/** Keys that are no drum of ours, with what they sound as; lowest first. */
function unsureKeys(
  notes: Music['notes'],
  said: KeyVoices,
): Extract<FileLook, { kind: 'music' }>['keys'] {
  const keys = [...new Set(notes.map(({ key }) => key))].sort((a, b) => a - b);
  return keys.flatMap((key) => {
    if (voiceOfKey(key)?.exact) return [];
    const count = notes.filter((one) => one.key === key).length;
    return [{ key, count, voice: voiceOfKey(key, said)?.voice ?? null, isSaid: said.has(key) }];
  });
}

function lookOf(
  { score, grid, notes }: Music,
  file: string,
  choices: FileChoices,
): Extract<FileLook, { kind: 'music' }> {
  // What has neither name nor title is called as its file.
  const called = score.title || file.replace(/\.\w+$/, '');
  const named = {
    ...score,
    parts: score.parts.map((part) => ({ ...part, name: part.name || called })),
  };
  const farthest = [...notes].sort((a, b) => Math.abs(b.offMs) - Math.abs(a.offMs));
  const parts = named.parts.map((part, index): PartLook => {
    const chosen = choices.parts?.find((one) => one.part === index);
    const choice = chosen ?? likelyChoice(named, index, grid);
    const { drafts, left } = draftsOf(named, choice, grid);
    const { name, isKit } = part;
    return { name, isKit, voices: voicesOfPart(part), choice, left, drafts, count: drafts.length };
  });
  const kitNotes = notes.filter(({ part }) => score.parts[part]?.isKit);
  return {
    ...{ kind: 'music', grid, parts, notes: farthest.slice(0, MOST_NOTES) },
    keys: unsureKeys(kitNotes, keysOf(choices)),
    ...{ noteCount: notes.length, doubtful: notes.filter((one) => one.doubtful).length },
  };
}
