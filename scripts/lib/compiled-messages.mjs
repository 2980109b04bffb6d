import compile from 'icu-minify/compile';
import ts from 'typescript';

/** Source of a catalogue with each message compiled: what plays in a browser then formats and parses none.
 * @param {string} source TypeScript, its messages in ICU format as values of an object
 * @returns {string} the same source, each message that has arguments or tags as the list it comes to
 * @throws on a message that cannot be read */
export function compiledMessages(source) {
  const file = ts.createSourceFile('messages.ts', source, ts.ScriptTarget.Latest, true);
  const parts = [];
  let from = 0;
  const visit = (node) => {
    if (ts.isPropertyAssignment(node) && ts.isStringLiteralLike(node.initializer)) {
      const { initializer } = node;
      parts.push(source.slice(from, initializer.getStart()));
      parts.push(JSON.stringify(compile(initializer.text)));
      from = initializer.getEnd();
      return;
    }
    ts.forEachChild(node, visit);
  };
  visit(file);
  return parts.join('') + source.slice(from);
}

/** A loader of the build, for `src/words/en`. */
export default function loader(source) {
  return compiledMessages(source);
}
