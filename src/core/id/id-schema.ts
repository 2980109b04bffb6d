import * as z from 'zod/mini';
import { ID, type Id } from './id';

/** Checks an id that came from outside. */
export function idSchema<Kind extends string>() {
  return z.pipe(
    z.string().check(z.regex(ID)),
    z.transform((id) => id as Id<Kind>),
  );
}
