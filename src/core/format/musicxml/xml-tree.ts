import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { fail, ok, type Result } from '../../issue';

/** An element with what stands in it, in order. */
export interface XmlNode {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly XmlNode[];
  readonly text: string;
}

/** Deepest nesting; a score needs a dozen. */
const DEEPEST = 60;

const ATTRIBUTES = ':@';
const TEXT = '#text';

const PARSER = new XMLParser({
  preserveOrder: true,
  ignoreAttributes: false,
  attributeNamePrefix: '',
  parseTagValue: false,
  parseAttributeValue: false,
  trimValues: true,
  ignoreDeclaration: true,
  ignorePiTags: true,
  htmlEntities: true,
  maxNestedTags: DEEPEST,
});

type Parsed = Readonly<Record<string, unknown>>;

/** Reads XML. Entities that a file brings along are refused: they are how a small file becomes an endless one.
 * @returns the outermost element; issues `file-entities`, `file-deep`, and `file-unreadable` with its line */
export function readXml(text: string): Result<XmlNode> {
  if (/<!ENTITY|<!DOCTYPE[^>[]*\[/i.test(text)) return fail({ code: 'file-entities', path: [] });
  if (depthOf(text) > DEEPEST) return fail({ code: 'file-deep', path: [] });
  const valid = XMLValidator.validate(text);
  if (valid !== true) {
    return fail({ code: 'file-unreadable', path: [], line: valid.err.line });
  }
  try {
    const [root] = (PARSER.parse(text) as readonly Parsed[]).flatMap(nodeOf);
    return root ? ok(root) : fail({ code: 'file-other', path: [] });
  } catch {
    return fail({ code: 'file-unreadable', path: [], line: 1 });
  }
}

function nodeOf(parsed: Parsed): readonly XmlNode[] {
  const name = Object.keys(parsed).find((key) => key !== ATTRIBUTES);
  if (name === undefined || name === TEXT) return [];
  const inside = parsed[name] as readonly Parsed[];
  const text = inside.flatMap((one) => (TEXT in one ? [String(one[TEXT])] : [])).join('');
  const attributes = (parsed[ATTRIBUTES] ?? {}) as Readonly<Record<string, string>>;
  return [{ name, attributes, text, children: inside.flatMap(nodeOf) }];
}

/** How deep elements nest, without reading what they are. */
function depthOf(text: string): number {
  let depth = 0;
  let deepest = 0;
  for (const [tag] of text.matchAll(/<\/?[A-Za-z_][^<>]*>/g)) {
    if (tag.startsWith('</')) depth -= 1;
    else if (!tag.endsWith('/>')) deepest = Math.max(deepest, (depth += 1));
  }
  return deepest;
}

export function childOf(node: XmlNode, name: string): XmlNode | undefined {
  return node.children.find((one) => one.name === name);
}

export function childrenOf(node: XmlNode, name: string): readonly XmlNode[] {
  return node.children.filter((one) => one.name === name);
}

/** The text of an element inside, found by its way down; empty where there is none. */
export function textAt(node: XmlNode, ...way: readonly string[]): string {
  let at: XmlNode | undefined = node;
  for (const name of way) at = at && childOf(at, name);
  return at?.text ?? '';
}

/** A number inside; null where there is none, or what stands there is no number. */
export function numberAt(node: XmlNode, ...way: readonly string[]): number | null {
  const text = textAt(node, ...way);
  const value = Number(text);
  return text === '' || !Number.isFinite(value) ? null : value;
}
