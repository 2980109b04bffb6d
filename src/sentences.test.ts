import { readdirSync, readFileSync } from 'node:fs';
import ts from 'typescript';
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

/** The text of a literal, with `x` for what is put in. */
function textOf(node: ts.Node): string | null {
  if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) return node.text;
  if (!ts.isTemplateExpression(node)) return null;
  return node.head.text + node.templateSpans.map(({ literal }) => `x${literal.text}`).join('');
}

/** What is never shown: imports, types, keys of messages, errors for ourselves, SQL, looks, directives. */
function isSilent(node: ts.Node): boolean {
  if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node))
    return true;
  if (ts.isThrowStatement(node)) return true;
  if (ts.isNewExpression(node) && /Error$/.test(node.expression.getText())) return true;
  if (ts.isTaggedTemplateExpression(node)) return true;
  if (ts.isCallExpression(node)) {
    return /^(clsx|must|z\.|document\.|query|useHotkeys|matchMedia|console\.|expect)|\.(exec|prepare|closest|querySelector|querySelectorAll|matches|getPropertyValue|setPointerCapture)$/.test(
      node.expression.getText(),
    );
  }
  if (ts.isJsxAttribute(node))
    return /^(className|style|d|transform|data-.*|.*Look|look)$/.test(node.name.getText());
  return false;
}

function wordsIn(file: string): readonly string[] {
  const source = ts.createSourceFile(
    file,
    readFileSync(file, 'utf8'),
    ts.ScriptTarget.Latest,
    true,
  );
  const found: string[] = [];
  function note(node: ts.Node, text: string) {
    const line = source.getLineAndCharacterOfPosition(node.getStart()).line + 1;
    found.push(`${file}:${line} ${text.trim()}`);
  }
  function visit(node: ts.Node) {
    if (isSilent(node)) return;
    if (ts.isJsxText(node) && /[A-Za-z]{2}/.test(node.text)) note(node, node.text);
    const text = textOf(node);
    const { parent } = node;
    const shown =
      text !== null &&
      ts.isJsxAttribute(parent) &&
      SHOWN.test(parent.name.getText()) &&
      !(parent.name.getText() === 'name' && /^[a-z]+$/.test(text));
    if (text !== null && isWords(text, shown)) note(node, text);
    ts.forEachChild(node, visit);
  }
  visit(source);
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
    const found = ROOMS.flatMap(filesIn).flatMap(wordsIn);
    expect(found.filter((one) => !KNOWN.some((known) => known.test(one)))).toEqual([]);
  });

  it('are seen where they are not', () => {
    expect(isWords('No match.', false)).toBe(true);
    expect(isWords('Nothing to plan yet.', false)).toBe(true);
    expect(isWords('flex items-center gap-2', false)).toBe(false);
    expect(isWords('undo', true)).toBe(true);
  });
});
