import * as z from 'zod/mini';
import { bundleSchema } from './bundle-schema';

/** The schema of bundles in the words of JSON Schema, for other programs; kept in docs/bundle.schema.json. */
export function bundleJsonSchema(): unknown {
  const schema = z.toJSONSchema(bundleSchema, {
    unrepresentable: 'any',
    io: 'output',
    reused: 'ref',
  });
  return JSON.parse(JSON.stringify(schema));
}
