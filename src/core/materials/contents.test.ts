import { describe, expect, it } from 'vitest';
import { heldSchema } from './contents';
import { MATERIAL_KINDS } from './kinds';
import { SHIPPED } from './library';

describe('heldSchema', () => {
  it.each(SHIPPED.map((one) => [one.kind, one.id, one] as const))(
    'reads the %s %s back as it is',
    (kind, _, { content }) => {
      expect(heldSchema.parse(JSON.parse(JSON.stringify({ kind, content })))).toEqual({
        kind,
        content,
      });
    },
  );

  it.each(MATERIAL_KINDS)('refuses a %s that holds what another kind does', (kind) => {
    const other = SHIPPED.find((one) => one.kind !== kind);
    expect(heldSchema.safeParse({ kind, content: other?.content }).success).toBe(false);
  });

  it.each([
    ['a lane on a voice that is none', 'ostinato', { voice: 'gong' }],
    ['a lane in slots that are none', 'ostinato', { slot: '11' }],
    ['a lane of a limb that is none', 'ostinato', { limb: 'NN' }],
    ['a grid that has no end', 'ostinato', { grid: 'x'.repeat(4097) }],
  ] as const)('refuses %s', (_, kind, change) => {
    const lane = { limb: 'RH', voice: 'hat', slot: '8', grid: 'x-x-', ...change };
    const content = { name: 'one', meter: '4/4', swung: false, lanes: [lane] };
    expect(heldSchema.safeParse({ kind, content }).success).toBe(false);
  });
});
