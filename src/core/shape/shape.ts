import * as z from 'zod/mini';

/** The shapes that most of what is stored and sent is made of. Ends are included. */

/** A whole number; of no end that anybody would type where `most` is left out. */
export function whole(least: number, most: number = Number.MAX_SAFE_INTEGER) {
  return z.int().check(z.gte(least), z.lte(most));
}

/** A whole number from one end to another. */
export function within({ least, most }: { readonly least: number; readonly most: number }) {
  return whole(least, most);
}

/** A number with a fraction perhaps. */
export function amount(least: number, most: number = Number.MAX_VALUE) {
  return z.number().check(z.gte(least), z.lte(most));
}

/** A text of at most so many letters, empty perhaps. */
export function text(most: number) {
  return z.string().check(z.maxLength(most));
}

/** What somebody typed: no space around it, and not empty. */
export function typedText(most: number) {
  return z.string().check(z.trim(), z.minLength(1), z.maxLength(most));
}

/** So many of a kind. */
export function list<Of extends z.ZodMiniType>(of: Of, least: number, most: number) {
  return z.readonly(z.array(of).check(z.minLength(least), z.maxLength(most)));
}
