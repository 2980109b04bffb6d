import compile from 'icu-minify/compile';
import { parseSync, Visitor } from 'oxc-parser';

/** Source of a catalogue with each message compiled: what plays in a browser then formats and parses none.
 * @param {string} source TypeScript, its messages in ICU format as values of an object
 * @returns {string} the same source, each message that has arguments or tags as the list it comes to
 * @throws on a message that cannot be read */
export function compiledMessages(source) {
  const parts = [];
  let from = 0;
  const visitor = new Visitor({
    Property({ value }) {
      const text = textOf(value);
      if (text === null) return;
      parts.push(source.slice(from, value.start));
      parts.push(JSON.stringify(compile(text)));
      from = value.end;
    },
  });
  visitor.visit(parseSync('messages.ts', source).program);
  return parts.join('') + source.slice(from);
}

/** What a literal says; null for all else. */
function textOf(node) {
  if (node.type === 'Literal') return typeof node.value === 'string' ? node.value : null;
  const isPlain = node.type === 'TemplateLiteral' && node.expressions.length === 0;
  return isPlain ? node.quasis[0].value.cooked : null;
}

/** A loader of the build, for `src/words/en`. */
export default function loader(source) {
  return compiledMessages(source);
}
