/** What does not fit a shape, and where: the whole, or the field that is named.
 * @example sayShape([{ path: ['name'], message: 'too long' }]) // => 'name: too long' */
export function sayShape(
  issues: readonly { readonly path: readonly PropertyKey[]; readonly message: string }[],
): string {
  return issues
    .map(({ path, message }) => `${path.map(String).join(' ') || 'the whole'}: ${message}`)
    .join('; ');
}

/** @example sayCount(1, 'rung') // => '1 rung'; sayCount(3, 'try', 'tries') // => '3 tries' */
export function sayCount(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`;
}
