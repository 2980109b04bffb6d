import { readdirSync, readFileSync } from 'node:fs';
import { parseSync, visitorKeys } from 'oxc-parser';
import { describe, expect, it } from 'vitest';

/** Rooms whose words are read by people; what ships as material, and what fills the demo, is content. */
const ROOMS = ['core', 'server', 'ui', 'app', 'audio', 'workers'].map((room) => `src/${room}`);
const CONTENT =
  /\.test\.|\.fixture\.|^src\/core\/materials\/|^src\/server\/(demo|before)\/|^src\/app\/walk\//;

/** Attributes that are read out or shown. */
const SHOWN = /^(aria-label|aria-description|alt|label|placeholder|title|text|hint|name|unit|row)$/;

function filesIn(folder: string): readonly string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = `${folder}/${entry.name}`;
    if (entry.isDirectory()) return filesIn(path);
    return /\.tsx?$/.test(entry.name) && !CONTENT.test(path) ? [path] : [];
  });
}

/** Whether text is words for people: what shows where it stands, and a sentence anywhere. */
function isWords(text: string, shown: boolean): boolean {
  if (shown) return /[A-Za-z]{2}/.test(text);
  return /^[A-Z][a-z’]+( [a-z’]+)+[.?!…]?$|[a-z’]{2,}[,;:]? [a-z’]{2,} [a-z’]{2,}|[a-z]{2,}[.?!]$/.test(
    text,
  );
}

/** A node of the tree, its parts by name. */
type Node = Readonly<Record<string, unknown>> & {
  readonly type: string;
  readonly start: number;
  readonly end: number;
};

/** The text of a literal, with `x` for what is put in. */
function textOf(node: Node): string | null {
  if (node.type === 'Literal') return typeof node.value === 'string' ? node.value : null;
  if (node.type !== 'TemplateLiteral') return null;
  const quasis = node.quasis as readonly { value: { cooked: string } }[];
  return quasis.map(({ value }) => value.cooked).join('x');
}

/** Calls whose texts are keys, queries or directives, and attributes that are looks. */
const SILENT_CALL =
  /^(clsx|must|z\.|document\.|query|useHotkeys|matchMedia|console\.|expect)|\.(exec|prepare|closest|querySelector|querySelectorAll|matches|getPropertyValue|setPointerCapture)$/;
const SILENT_ATTRIBUTE = /^(className|style|d|transform|data-.*|.*Look|look)$/;

/** What is never shown: imports, types, keys of messages, errors for ourselves, SQL, looks, directives. */
function isSilent(node: Node, source: string): boolean {
  const part = (name: string) => {
    const { start, end } = node[name] as Node;
    return source.slice(start, end);
  };
  if (/^(TS.*Type.*|TS.*Keyword|TSInterface.*|Throw.*|TaggedTemplate.*)$/.test(node.type))
    return true;
  if (/^Import.*Declaration$|^ExportAll/.test(node.type)) return true;
  if (node.type === 'ExportNamedDeclaration') return node.declaration === null;
  if (node.type === 'NewExpression') return part('callee').endsWith('Error');
  if (node.type === 'CallExpression') return SILENT_CALL.test(part('callee'));
  return node.type === 'JSXAttribute' && SILENT_ATTRIBUTE.test(part('name'));
}

function wordsIn(file: string, source = readFileSync(file, 'utf8')): readonly string[] {
  const found: string[] = [];
  function note(node: Node, text: string) {
    found.push(`${file}:${source.slice(0, node.start).split('\n').length} ${text.trim()}`);
  }
  function visit(node: Node, parent: Node | null) {
    if (isSilent(node, source)) return;
    if (node.type === 'JSXText' && /[A-Za-z]{2}/.test(String(node.value)))
      note(node, String(node.value));
    const text = textOf(node);
    const attribute = parent?.type === 'JSXAttribute' ? String((parent.name as Node).name) : null;
    const shown =
      text !== null &&
      attribute !== null &&
      SHOWN.test(attribute) &&
      !(attribute === 'name' && /^[a-z]+$/.test(text));
    if (text !== null && isWords(text, shown)) note(node, text);
    for (const key of visitorKeys[node.type] ?? []) {
      for (const part of [node[key]].flat() as readonly (Node | null | undefined)[]) {
        if (part) visit(part, node);
      }
    }
  }
  const { program, errors } = parseSync(file, source);
  if (errors.length > 0) throw new Error(`${file} cannot be read`);
  visit(program as unknown as Node, null);
  return found;
}

/** Not words for people, although they look so. */
const KNOWN: readonly RegExp[] = [
  // What rungs were called in logs of before.
  /ladder\/rung-key\.ts/,
  // How a feel and syllables are typed.
  /time\/(feel|syllables)\.ts/,
  // Names of choices in recipes.
  /transform\/(data|orchestrate)\.ts:\d+ (on|off) the beat$/,
  // Our own name, looks, and what is typed to name variations.
  /Mivvel$|1px solid|z-50|\{n\} \{all\}$/,
];

describe('words for people', () => {
  it('stand in the catalogue alone', () => {
    const found = ROOMS.flatMap(filesIn).flatMap((file) => wordsIn(file));
    expect(found.filter((one) => !KNOWN.some((known) => known.test(one)))).toEqual([]);
  });

  it('are seen where they are not', () => {
    expect(isWords('No match.', false)).toBe(true);
    expect(isWords('Nothing to plan yet.', false)).toBe(true);
    expect(isWords('flex items-center gap-2', false)).toBe(false);
    expect(isWords('undo', true)).toBe(true);
    const shown =
      '<Field label="Undo" look="No match." hint={x ? `A ${y} bar.` : ""}>One two</Field>';
    const source = `type A = 'No match.';\nexport default () => ${shown};\nthrow new Error('No match.');`;
    const found = ['x.tsx:2 Undo', 'x.tsx:2 A x bar.', 'x.tsx:2 One two'];
    expect(wordsIn('x.tsx', source)).toEqual(found);
  });
});
