import { strToU8 } from 'fflate';
import { fail, ok, type Result } from '../issue';
import { isMidi, readMidi, writeMidi, type PlayedNote } from './midi';
import { isMusicXml, readMusicXml, writeMusicXml } from './musicxml';
import type { Piece } from './piece';
import type { KeyVoices, PlayedGrid, Score } from './score';

/** Music that was read. */
export interface Music {
  readonly score: Score;
  /** That what was played was put on; null where the file says written values. */
  readonly grid: PlayedGrid | null;
  readonly notes: readonly PlayedNote[];
}

/** An open format that exercises leave in, and music comes in. */
interface Format {
  /** Its ending and its kind, as other programs know it. */
  readonly ending: string;
  readonly media: string;
  readonly write: (title: string, pieces: readonly Piece[]) => Uint8Array;
  /** Whether a file begins as one of this format does. */
  readonly is: (bytes: Uint8Array) => boolean;
  readonly read: (bytes: Uint8Array, grid: PlayedGrid | null, keys?: KeyVoices) => Result<Music>;
}

/** Each stands in a folder of its own; what it keeps and what it loses is said in docs/formats.md. */
export const FORMATS = {
  musicxml: {
    ending: 'musicxml',
    media: 'application/vnd.recordare.musicxml+xml',
    write: (title, pieces) => strToU8(writeMusicXml(title, pieces)),
    is: isMusicXml,
    read: (bytes) => {
      const score = readMusicXml(bytes);
      return score.ok ? ok({ score: score.value, grid: null, notes: [] }) : score;
    },
  },
  midi: { ending: 'mid', media: 'audio/midi', write: writeMidi, is: isMidi, read: readMidi },
} as const satisfies Readonly<Record<string, Format>>;

export type FormatId = keyof typeof FORMATS;

function formatOf(bytes: Uint8Array): Format | undefined {
  return Object.values(FORMATS).find((one) => one.is(bytes));
}

/** Whether a file begins as music of any format here does. */
export function isMusic(bytes: Uint8Array): boolean {
  return formatOf(bytes) !== undefined;
}

/** Reads music of any format here, whatever the file is called.
 * @param grid for what was played; null takes what is likely  @param keys voices of its keys, where somebody said them
 * @returns issues of the reader; `file-other` for what is none of them */
export function readMusic(
  bytes: Uint8Array,
  grid: PlayedGrid | null,
  keys?: KeyVoices,
): Result<Music> {
  const format = formatOf(bytes);
  return format ? format.read(bytes, grid, keys) : fail({ code: 'file-other', path: [] });
}
