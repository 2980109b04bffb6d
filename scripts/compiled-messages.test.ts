import compile from 'icu-minify/compile';
import { createRequire } from 'node:module';
import { describe, expect, it } from 'vitest';
import type { compiledMessages as Compiled } from './lib/compiled-messages.cjs';

const require = createRequire(import.meta.url);
const { compiledMessages } = require('./lib/compiled-messages.cjs') as {
  compiledMessages: typeof Compiled;
};

describe('compiled messages', () => {
  it('stand where their sources stood, and all else stays', () => {
    const source = [
      "import { kit } from './kit';",
      '/** “Words”. */',
      'export const x = {',
      "  plain: 'a bar', // 'why'",
      "  'of-many': '{count, plural, one {# bar} other {# bars}}',",
      '  inner: { named: `{name}’s <b>kit</b>` },',
      '  kit,',
      '} as const;',
    ].join('\n');
    expect(compiledMessages(source, compile)).toBe(
      [
        "import { kit } from './kit';",
        '/** “Words”. */',
        'export const x = {',
        '  plain: "a bar", // \'why\'',
        '  \'of-many\': [["count",2,{"one":[0," bar"],"other":[0," bars"]}]],',
        '  inner: { named: [["name"],"’s ",["b","kit"]] },',
        '  kit,',
        '} as const;',
      ].join('\n'),
    );
  });

  it('are refused with what is wrong where one cannot be read', () => {
    expect(() => compiledMessages("export const x = { a: '{count' };", compile)).toThrow(/CLOSING/);
  });
});
