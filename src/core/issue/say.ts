/** @example sayCount(1, 'rung') // => '1 rung'; sayCount(3, 'try', 'tries') // => '3 tries' */
export function sayCount(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`;
}
