/** What tells one address of the Bench from another. */
export function addressKey(exercise: string, link: string): string {
  return new URLSearchParams({ x: exercise, r: link }).toString();
}
