import { fail, ok, type Result } from '../issue';

/** Marks at the start of a file that say how its letters are written. */
const MARKS: readonly (readonly [encoding: string, bytes: readonly number[]])[] = [
  ['utf-8', [0xef, 0xbb, 0xbf]],
  ['utf-16le', [0xff, 0xfe]],
  ['utf-16be', [0xfe, 0xff]],
];

/** The text of a file: in what its first bytes or its XML declaration say, else UTF-8, else, where it is none, in
 * Windows-1252, as spreadsheets write. @returns issue `file-encoding` for one that is unknown */
export function textOf(bytes: Uint8Array): Result<string> {
  const marked = MARKS.find(([, mark]) => mark.every((byte, at) => bytes[at] === byte))?.[0];
  const head = String.fromCharCode(...bytes.subarray(0, 200));
  const declared = /^\s*<\?xml[^>]*encoding=["']([\w-]+)["']/.exec(head)?.[1];
  const said = marked ?? declared;
  try {
    if (said) return ok(new TextDecoder(said).decode(bytes));
  } catch {
    return fail({ code: 'file-encoding', path: [], encoding: said ?? '' });
  }
  try {
    return ok(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    return ok(new TextDecoder('windows-1252').decode(bytes));
  }
}
