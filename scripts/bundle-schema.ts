// Writes docs/bundle.schema.json anew, after the schema of bundles has changed.
import { writeFileSync } from 'node:fs';
import { format } from 'oxfmt';
import { bundleJsonSchema } from '../src/core/format/bundle/json-schema';

const path = 'docs/bundle.schema.json';
writeFileSync(path, (await format(path, JSON.stringify(bundleJsonSchema()))).code);
