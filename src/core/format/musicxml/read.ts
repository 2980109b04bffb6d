import { fail, ok, type Result } from '../../issue';
import type { Score, ScoreBar, ScorePart } from '../score';
import { textOf } from '../text-of';
import { instrumentsOf } from './note';
import { PartReader } from './part-reader';
import { isZip, unpackScore } from './unpack';
import { childOf, childrenOf, readXml, textAt, type XmlNode } from './xml-tree';

/** Largest score, in characters of XML. */
const MOST_CHARACTERS = 20_000_000;

/** Whether a file is packed, or begins with an element as XML does. */
export function isMusicXml(bytes: Uint8Array): boolean {
  if (isZip(bytes)) return true;
  const head = textOf(bytes.subarray(0, 200));
  return head.ok ? head.value.trimStart().startsWith('<') : true;
}

/** Reads MusicXML, packed or not, by parts or by bars. Ties are held, grace notes become ornaments, signs for repeats
 * are kept as signs.
 * @returns issues `file-large`, `file-packed`, `file-encoding`, `file-entities`, `file-deep`, `file-nodes`, `file-unreadable` with its line,
 * `file-other` for other XML, `file-silent` where no part has a note */
export function readMusicXml(bytes: Uint8Array): Result<Score> {
  const unpacked = isZip(bytes) ? unpackScore(bytes) : ok(bytes);
  if (!unpacked.ok) return unpacked;
  const text = textOf(unpacked.value);
  if (!text.ok) return text;
  if (text.value.length > MOST_CHARACTERS) {
    return fail({ code: 'file-large', path: [], most: MOST_CHARACTERS / 1e6 });
  }
  const root = readXml(text.value);
  if (!root.ok) return root;
  const byParts = partsOf(root.value);
  if (!byParts) return fail({ code: 'file-other', path: [] });
  const parts = byParts
    .map(({ id, measures }) => readPart(root.value, id, measures))
    .filter(({ bars }) => bars.some(({ strokes }) => strokes.length > 0));
  if (parts.length === 0) return fail({ code: 'file-silent', path: [] });
  const title = textAt(root.value, 'work', 'work-title') || textAt(root.value, 'movement-title');
  return ok({ title, parts });
}

interface PartBars {
  readonly id: string;
  readonly measures: readonly XmlNode[];
}

function partsOf(root: XmlNode): readonly PartBars[] | null {
  const idOf = ({ attributes }: XmlNode) => attributes['id'] ?? '';
  if (root.name === 'score-partwise') {
    return childrenOf(root, 'part').map((part) => ({
      id: idOf(part),
      measures: childrenOf(part, 'measure'),
    }));
  }
  if (root.name !== 'score-timewise') return null;
  const parts = new Map<string, XmlNode[]>();
  for (const { attributes, children } of childrenOf(root, 'measure')) {
    for (const part of children.filter(({ name }) => name === 'part')) {
      const own = parts.get(idOf(part)) ?? [];
      own.push({ ...part, name: 'measure', attributes });
      parts.set(idOf(part), own);
    }
  }
  return [...parts].map(([id, measures]) => ({ id, measures }));
}

function readPart(root: XmlNode, id: string, measures: readonly XmlNode[]): ScorePart {
  const list = childOf(root, 'part-list');
  const head = list && childrenOf(list, 'score-part').find((one) => one.attributes['id'] === id);
  const reader = new PartReader(head ? instrumentsOf(head) : new Map());
  const bars = measures.map((one, index) => reader.bar(one, index));
  const isKit = bars.some(({ strokes }) => strokes.some(({ voice }) => voice !== null));
  return {
    name: head ? textAt(head, 'part-name') : '',
    isKit,
    bars: bars.map((bar, index) => ({ ...bar, begins: beginsAt(bars, index) })),
    left: reader.left.all().filter(({ why }) => isKit || (why !== 'key' && why !== 'limb')),
  };
}

/** Something begins at a repeat, after one, after a double bar and at a mark; not at an ending. */
function beginsAt(
  bars: readonly (ScoreBar & { readonly ends: boolean })[],
  index: number,
): boolean {
  const bar = bars[index];
  const before = bars[index - 1];
  if (!bar || !before || bar.begins || bar.repeats.from) return true;
  return bar.repeats.passes === null && (before.ends || before.repeats.times !== null);
}
