/** A number of notes spread over slots as evenly as can be, the first on slot 0; after Toussaint
 * 2005, “The Euclidean algorithm generates traditional musical rhythms”.
 * @param notes from 1 up to `slots`
 * @returns slots rising
 * @example evenPlacement(3, 8) // => 0 3 6; evenPlacement(3, 4) // => 0 2 3; evenPlacement(5, 8) // => 0 2 3 5 6 */
export function evenPlacement(notes: number, slots: number): readonly number[] {
  let heads = Array.from({ length: notes }, () => [true]);
  let rest = Array.from({ length: slots - notes }, () => [false]);
  // A single rest is spread, too: the paper writes E(3, 4) as x-xx.
  for (let isFirst = true; rest.length > 1 || (isFirst && rest.length === 1); isFirst = false) {
    const pairs = Math.min(heads.length, rest.length);
    const joined = heads.slice(0, pairs).map((head, index) => [...head, ...(rest[index] ?? [])]);
    rest = heads.length > pairs ? heads.slice(pairs) : rest.slice(pairs);
    heads = joined;
  }
  return [...heads, ...rest].flat().flatMap((hit, slot) => (hit ? [slot] : []));
}
