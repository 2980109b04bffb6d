import { customType } from 'drizzle-orm/sqlite-core';
import type * as z from 'zod/mini';

/** A column of JSON that is checked when it is read back.
 * @throws on what was never stored by Mivvel: a broken file */
export function checkedJson<Shape extends z.ZodMiniType>(shape: Shape) {
  return customType<{ data: z.output<Shape>; driverData: string }>({
    dataType: () => 'text',
    toDriver: (value) => JSON.stringify(value),
    fromDriver: (stored) => shape.parse(JSON.parse(stored)),
  });
}
