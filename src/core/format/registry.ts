import { strToU8 } from 'fflate';
import { writeMidi } from './midi';
import { writeMusicXml } from './musicxml';
import type { Piece } from './piece';

/** An open format that exercises leave in. */
interface Format {
  /** Its ending and its kind, as other programs know it. */
  readonly ending: string;
  readonly media: string;
  readonly write: (title: string, pieces: readonly Piece[]) => Uint8Array;
}

/** Each stands in a folder of its own; what it keeps and what it loses is said in docs/formats.md. */
export const FORMATS = {
  musicxml: {
    ending: 'musicxml',
    media: 'application/vnd.recordare.musicxml+xml',
    write: (title, pieces) => strToU8(writeMusicXml(title, pieces)),
  },
  midi: { ending: 'mid', media: 'audio/midi', write: writeMidi },
} as const satisfies Readonly<Record<string, Format>>;

export type FormatId = keyof typeof FORMATS;
