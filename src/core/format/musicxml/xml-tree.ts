import { SaxesParser } from 'saxes';
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

/** Most elements: a score of 20 MB has fewer, and nothing else needs as many. */
const MOST_NODES = 1_000_000;

/** Of elements that have none; most are such. */
const NO_ATTRIBUTES = {};

interface Growing extends XmlNode {
  readonly children: Growing[];
  text: string;
}

/** What ends the reading of a file that is well-formed so far. */
class Refused extends Error {
  constructor(readonly code: 'file-entities' | 'file-deep' | 'file-nodes') {
    super(code);
  }
}

/** Reads XML. Entities that a file brings along are refused: they are how a small file becomes an endless one.
 * @returns the outermost element; issues `file-entities`, `file-deep`, `file-nodes`, and `file-unreadable` with its line */
export function readXml(text: string): Result<XmlNode> {
  const parser = new SaxesParser();
  const open: Growing[] = [];
  let root: XmlNode | null = null;
  let count = 0;
  parser.on('doctype', (doctype) => {
    if (doctype.includes('[')) throw new Refused('file-entities');
  });
  parser.on('opentag', ({ name, attributes }) => {
    if ((count += 1) > MOST_NODES) throw new Refused('file-nodes');
    const own = Object.keys(attributes).length === 0 ? NO_ATTRIBUTES : attributes;
    const node: Growing = { name, attributes: own, children: [], text: '' };
    if (open.push(node) > DEEPEST) throw new Refused('file-deep');
    open.at(-2)?.children.push(node);
    root ??= node;
  });
  parser.on('closetag', () => {
    const node = open.pop();
    if (node) node.text = node.text.trim();
  });
  const add = (more: string) => {
    const node = open.at(-1);
    if (node) node.text += more;
  };
  parser.on('text', add);
  parser.on('cdata', add);
  parser.on('error', (error) => {
    throw error;
  });
  try {
    parser.write(text).close();
  } catch (error) {
    if (error instanceof Refused) {
      if (error.code !== 'file-nodes') return fail({ code: error.code, path: [] });
      return fail({ code: 'file-nodes', path: [], most: MOST_NODES });
    }
    return fail({ code: 'file-unreadable', path: [], line: parser.line });
  }
  return root ? ok(root) : fail({ code: 'file-other', path: [] });
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
