// Writes docs/bundle.schema.json anew, after the schema of bundles has changed.
import { writeFileSync } from 'node:fs';
import { format } from 'prettier';
import { bundleJsonSchema } from '../src/core/format/bundle/json-schema';

const path = 'docs/bundle.schema.json';
writeFileSync(path, await format(JSON.stringify(bundleJsonSchema()), { filepath: path }));
