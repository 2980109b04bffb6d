import { Linter } from 'eslint';
import typed from 'eslint-config-next/typescript';
import { describe, expect, it } from 'vitest';
import { rooms } from './lib/rooms.mjs';

const linter = new Linter();
const typescript: Linter.Config = {
  files: ['**/*.{ts,tsx}'],
  languageOptions: { parser: typed[0]?.languageOptions?.parser as Linter.Parser },
};

function refused(file: string, code: string): string[] {
  const messages = linter.verify(code, [typescript, ...(rooms as Linter.Config[])], file);
  return messages.map((message) => message.ruleId ?? message.message);
}

describe('the rooms', () => {
  it.each([
    ['src/core/time/x.ts', "import { db } from '@/db';\nexport const x = db;"],
    ['src/core/time/x.ts', "import { db } from '../../db';\nexport const x = db;"],
    ['src/core/time/x.ts', "import { useState } from 'react';\nexport const x = useState;"],
    ['src/core/time/x.ts', "import { x } from '../kit/limb';\nexport const y = x;"],
    ['src/core/time/x.ts', 'export const x = Math.random();'],
    ['src/core/time/x.ts', 'export const x = Date.now();'],
    ['src/db/x.ts', "import { x } from '@/server/viewer';\nexport const y = x;"],
    ['src/server/x.ts', "import { eq } from 'drizzle-orm';\nexport const x = eq;"],
    ['src/server/x.ts', "import { x } from '@/db/connection';\nexport const y = x;"],
    ['src/ui/x.tsx', "import { x } from '@/server/viewer';\nexport const y = x;"],
    ['src/ui/x.tsx', "import { x } from '@/core/time/tick';\nexport const y = x;"],
    ['src/app/x.tsx', "import { x } from '@/db';\nexport const y = x;"],
    ['src/audio/x.ts', "import { x } from '@/ui/marks';\nexport const y = x;"],
    ['src/workers/x.ts', "import { x } from '@/server/viewer';\nexport const y = x;"],
  ])('%s may not hold %j', (file, code) => {
    expect(refused(file, code)).toHaveLength(1);
  });

  it.each([
    ['src/core/kit/x.ts', "import { tick } from '../time';\nexport const x = tick;"],
    ['src/db/x.ts', "import { tick } from '@/core/time';\nexport const x = tick;"],
    ['src/server/x.ts', "import { x } from '@/db';\nexport const y = x;"],
    ['src/app/x.tsx', "import { x } from '@/server/viewer';\nexport const y = x;"],
    ['src/ui/x.tsx', "import { x } from '@/audio';\nexport const y = x;"],
  ])('%s may hold %j', (file, code) => {
    expect(refused(file, code)).toEqual([]);
  });
});
