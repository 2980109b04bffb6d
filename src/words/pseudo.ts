/** A message with every word of it in other letters, in brackets, and longer by more than 40 %: what is
 * plain or cut off on a screen in this language is not ready for another one. */
export function pseudoMessage(message: string): string {
  const letters = message.replace(/\{[^}]*\}|<[^>]*>/g, '').length;
  const more = ' xxxx'.repeat(Math.ceil((0.5 * letters) / 5));
  return `⟦${textOf(message, 0).text}${inOtherLetters(more)}⟧`;
}

const PLAIN = 'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ';
const OTHER = [...'áƀçðéƒǧĥíĵķļɱñóþǫŕšţúṽŵẋýžÁƁÇÐÉƑǦĤÍĴĶĻṀÑÓÞǪŔŠŢÚṼŴẊÝŽ'];

function inOtherLetters(text: string): string {
  return [...text].map((one) => OTHER[PLAIN.indexOf(one)] ?? one).join('');
}

/** The text from a place to the end of its branch, arguments and tags as they are.
 * @returns the text, and the place of the brace that ends it */
function textOf(message: string, from: number): { readonly text: string; readonly end: number } {
  let text = '';
  let at = from;
  while (at < message.length && message[at] !== '}') {
    if (message[at] === '{') {
      const argument = argumentOf(message, at);
      text += argument.text;
      at = argument.end;
    } else if (message[at] === '<') {
      const end = message.indexOf('>', at) + 1;
      text += message.slice(at, end);
      at = end;
    } else {
      text += inOtherLetters(message[at] ?? '');
      at += 1;
    }
  }
  return { text, end: at };
}

/** An argument with the branches of its choice in other letters. */
function argumentOf(
  message: string,
  from: number,
): { readonly text: string; readonly end: number } {
  let text = '{';
  let at = from + 1;
  while (message[at] !== '}') {
    if (message[at] === '{') {
      const branch = textOf(message, at + 1);
      text += `{${branch.text}}`;
      at = branch.end + 1;
    } else {
      text += message[at];
      at += 1;
    }
  }
  return { text: `${text}}`, end: at + 1 };
}

/** A catalogue in this language. */
export function pseudoCatalogue<T>(node: T): T {
  if (typeof node === 'string') return pseudoMessage(node) as T;
  return Object.fromEntries(
    Object.entries(node as object).map(([key, inner]) => [key, pseudoCatalogue(inner as T)]),
  ) as T;
}
