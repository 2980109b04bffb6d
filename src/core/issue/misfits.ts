import type { Misfit } from './issue';

/** What schemas find, by the kind of problem. */
const PROBLEMS: Readonly<Record<string, Misfit['problem']>> = {
  invalid_type: 'kind',
  too_big: 'long',
  too_small: 'short',
  invalid_format: 'format',
  not_multiple_of: 'format',
  unrecognized_keys: 'unknown',
  invalid_key: 'unknown',
  invalid_value: 'choice',
  invalid_union: 'choice',
};

/** What does not fit a shape, and where, as facts.
 * @example misfitsOf([{ path: ['name'], code: 'too_big' }]) // => [{ at: 'name', problem: 'long' }] */
export function misfitsOf(
  issues: readonly { readonly path: readonly PropertyKey[]; readonly code: string }[],
): readonly Misfit[] {
  return issues.map(({ path, code }) => ({
    at: path.map(String).join(' '),
    problem: PROBLEMS[code] ?? 'other',
  }));
}
