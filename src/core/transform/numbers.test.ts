import * as z from 'zod/mini';
import { describe, expect, it } from 'vitest';
import { changeSchema } from './change-schema';
import { boundsOf, CHANGE_NUMBERS } from './numbers';

interface Part {
  readonly type?: string;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly const?: string;
  readonly anyOf?: readonly Part[];
  readonly oneOf?: readonly Part[];
  readonly properties?: Readonly<Record<string, Part>>;
}

/** Every whole number of a schema with its ends, by its name. */
function numbersIn({ properties = {} }: Part): readonly (readonly [string, number, number])[] {
  return Object.entries(properties).flatMap(([name, part]) =>
    part.type === 'integer'
      ? [[name, part.minimum ?? NaN, part.maximum ?? NaN] as const]
      : numbersIn(part),
  );
}

describe('the numbers of changes', () => {
  const schema = z.toJSONSchema(changeSchema, { unrepresentable: 'any' }) as Part;
  const kinds = schema.oneOf ?? schema.anyOf ?? [];

  it('are all that the schema of a change bounds, and bounded alike', () => {
    const found = kinds.flatMap((one) => {
      const kind = one.properties?.kind?.const ?? '';
      // Edits name places of what was made, which are as many as there are.
      if (kind === 'hand') return [];
      return numbersIn(one).map(([name, least, most]) => `${kind} ${name} ${least} ${most}`);
    });
    const told = Object.entries(CHANGE_NUMBERS).flatMap(([kind, numbers]) =>
      Object.entries(numbers).map(([name, { least, most }]) => `${kind} ${name} ${least} ${most}`),
    );
    // The bar in which a phrase starts is one of its bars.
    expect([...found].sort()).toEqual([...told, 'aim bar 1 64'].sort());
  });

  it('are known by kind and name, and by none other', () => {
    expect(boundsOf('thicken', 'count')).toEqual({ least: 1, most: 8 });
    expect(boundsOf('thicken', 'by')).toBeNull();
    expect(boundsOf('mirror', 'by')).toBeNull();
  });
});
