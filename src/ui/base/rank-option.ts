/** The option of that very name, whatever its capitals. */
export function optionNamed<T extends { readonly text: string }>(
  options: readonly T[],
  text: string,
): T | undefined {
  return options.find((one) => one.text.toLowerCase() === text.toLowerCase());
}

/** How well an option answers what is typed, 0 for not at all: its whole name first, then a name that begins
 * so, a name in which a word begins so, any place in the name, other words for it; and last, all typed words
 * anywhere, in whatever order.
 * @param words its name, then what else it is called
 * @example rankOption('', 'rock', ['rock']) > rankOption('', 'rock', ['rock in 8ths']) // => true */
export function rankOption(_value: string, typed: string, words: readonly string[] = []): number {
  const search = typed.trim().toLowerCase();
  const [name = '', ...others] = words.map((one) => one.toLowerCase());
  const also = others.join(' ');
  if (search === '' || name === search) return 1;
  if (name.startsWith(search)) return 0.9;
  if (name.includes(` ${search}`)) return 0.8;
  const at = name.indexOf(search);
  if (at > 0) return 0.6 + 0.1 / at;
  if (also.includes(search)) return 0.5;
  const all = `${name} ${also}`;
  return search.split(/\s+/).every((word) => all.includes(word)) ? 0.3 : 0;
}
