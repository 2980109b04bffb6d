import { readFileSync } from 'node:fs';
import { join } from 'node:path';

let found: string | null | undefined;

/** Names the code that runs, anew with every build; null where it runs unbuilt and may change under what
 * was kept. */
export function codeVersion(): string | null {
  if (process.env.NODE_ENV !== 'production') return null;
  found ??= readBuildId();
  return found;
}

function readBuildId(): string | null {
  try {
    return readFileSync(join(process.cwd(), '.next/BUILD_ID'), 'utf8');
  } catch {
    return null;
  }
}
