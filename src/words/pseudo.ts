import type { CompiledMessage } from 'icu-minify/format';

const PLAIN = 'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ';
const OTHER = [...'áƀçðéƒǧĥíĵķļɱñóþǫŕšţúṽŵẋýžÁƁÇÐÉƑǦĤÍĴĶĻṀÑÓÞǪŔŠŢÚṼŴẊÝŽ'];

function inOtherLetters(text: string): string {
  return [...text].map((one) => OTHER[PLAIN.indexOf(one)] ?? one).join('');
}

/** A part of a message: text; an argument by its name, perhaps with its kind and the branches of its choice;
 * or a tag by its name, with what it holds. */
function partOf(part: unknown): unknown {
  if (typeof part === 'string') return inOtherLetters(part);
  if (!Array.isArray(part)) return part;
  const [name, second, ...rest] = part as readonly unknown[];
  if (second === undefined) return part;
  if (typeof second !== 'number' || second === 0) {
    return [name, ...[second, ...rest].map(partOf)];
  }
  return [name, second, ...rest.map(choicesOf)];
}

/** The branches of a choice; how a number or a date is written stays. */
function choicesOf(choices: unknown): unknown {
  if (typeof choices !== 'object' || choices === null) return choices;
  return Object.fromEntries(
    Object.entries(choices).map(([key, branch]) => [key, branchOf(branch)]),
  );
}

/** A branch: a part by itself, or several. */
function branchOf(branch: unknown): unknown {
  return Array.isArray(branch) ? branch.map(partOf) : partOf(branch);
}

/** Letters of a part as long as it can be said, its arguments left out. */
function lettersOf(part: unknown): number {
  if (typeof part === 'string') return part.length;
  if (Array.isArray(part))
    return part.slice(1).reduce((sum: number, one) => sum + lettersOf(one), 0);
  if (typeof part !== 'object' || part === null) return 0;
  return Math.max(0, ...Object.values(part).map((branch) => lettersOf(['', branch].flat())));
}

/** A message with every word of it in other letters, in brackets, and longer by more than 40 %: what is
 * plain or cut off on a screen in this language is not ready for another one.
 * @param message compiled, as the build has it
 * @throws on one that is not, a bug: its arguments would be taken for words */
export function pseudoMessage(message: CompiledMessage): CompiledMessage {
  const parts = typeof message === 'string' ? [message] : message;
  if (typeof message === 'string' && /[{<]/.test(message)) {
    throw new Error(`not compiled: ${message}`);
  }
  const more = ' xxxx'.repeat(Math.ceil((0.5 * lettersOf(['', ...parts])) / 5));
  const end = `${inOtherLetters(more)}⟧`;
  if (typeof message === 'string') return `⟦${inOtherLetters(message)}${end}`;
  return ['⟦', ...(message.map(partOf) as typeof message), end];
}

/** A catalogue in this language. */
export function pseudoCatalogue<T>(node: T): T {
  if (typeof node === 'string' || Array.isArray(node)) return pseudoMessage(node as string) as T;
  return Object.fromEntries(
    Object.entries(node as object).map(([key, inner]) => [key, pseudoCatalogue(inner as T)]),
  ) as T;
}
