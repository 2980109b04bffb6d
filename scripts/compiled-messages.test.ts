import { describe, expect, it } from 'vitest';
import { compiledMessages } from './lib/compiled-messages.mjs';

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
    expect(compiledMessages(source)).toBe(
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
    expect(() => compiledMessages("export const x = { a: '{count' };")).toThrow(/CLOSING/);
  });
});
