import { Unzip, UnzipInflate } from 'fflate';
import { fail, ok, type Result } from '../../issue';
import { childOf, readXml } from './xml-tree';

/** Most bytes that one file inside may come to: enough for a book of a thousand pages. */
const MOST_UNPACKED = 20_000_000;

/** Most files that are looked at. */
const MOST_FILES = 200;

/** Says in a packed file which of the files inside is the score. */
const CONTAINER = 'META-INF/container.xml';
const MOST_OF_CONTAINER = 65_536;

/** Bytes that are unpacked between two looks at how much it has become. */
const STEP = 16_384;

export function isZip(bytes: Uint8Array): boolean {
  return bytes[0] === 0x50 && bytes[1] === 0x4b;
}

/** The score inside of a packed file (.mxl): the one that its container names, else the first score.
 * @returns issues `file-large` as soon as it unpacks to more than 20 MB, `file-packed` where it is damaged or holds no
 * score */
export function unpackScore(bytes: Uint8Array): Result<Uint8Array> {
  const files = new Map<string, Uint8Array[]>();
  let size = 0;
  let broken = false;
  const unzip = new Unzip((file) => {
    if (files.size >= MOST_FILES || !/\.(xml|musicxml)$/i.test(file.name)) return;
    const chunks: Uint8Array[] = [];
    files.set(file.name, chunks);
    file.ondata = (error, chunk) => {
      if (error) broken = true;
      else {
        chunks.push(chunk);
        size += chunk.length;
      }
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  try {
    for (let from = 0; from < bytes.length && !broken; from += STEP) {
      unzip.push(bytes.subarray(from, from + STEP), from + STEP >= bytes.length);
      if (size > MOST_UNPACKED)
        return fail({ code: 'file-large', path: [], most: MOST_UNPACKED / 1e6 });
    }
  } catch {
    broken = true;
  }
  const named = scoreNamedIn(joined(files.get(CONTAINER) ?? []));
  const name =
    named !== undefined && files.has(named)
      ? named
      : [...files.keys()].find((one) => !one.startsWith('META-INF/'));
  const score = name === undefined ? null : joined(files.get(name) ?? []);
  if (broken || !score || score.length === 0) return fail({ code: 'file-packed', path: [] });
  return ok(score);
}

/** The score that a container names first; one that is too large to be one, or cannot be read, names none. */
function scoreNamedIn(container: Uint8Array): string | undefined {
  if (container.length > MOST_OF_CONTAINER) return undefined;
  const root = readXml(new TextDecoder().decode(container));
  const files = root.ok ? childOf(root.value, 'rootfiles') : undefined;
  return files && childOf(files, 'rootfile')?.attributes['full-path'];
}

function joined(chunks: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(chunks.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const chunk of chunks) {
    whole.set(chunk, at);
    at += chunk.length;
  }
  return whole;
}
