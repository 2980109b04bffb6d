import { describe, expect, it } from 'vitest';
import { STARTER_IDS, STARTERS } from '@/core/program';
import { WAY_IN_IDS } from '@/core/recipe';
import { ENGLISH, sayStarter, sayStarterItem, sayStarterUse, sayWayIn } from '.';

describe('starter programs', () => {
  it('each has a name, a use, and names for its items, none twice', () => {
    const names = STARTER_IDS.map((id) => sayStarter(ENGLISH, id));
    const uses = STARTER_IDS.map((id) => sayStarterUse(ENGLISH, id));
    const items = STARTER_IDS.flatMap((id) =>
      STARTERS[id]().map((one) => sayStarterItem(ENGLISH, one.id)),
    );
    for (const said of [names, uses, items]) {
      expect(said.filter((one) => one.trim() === '')).toEqual([]);
      expect(new Set(said).size).toBe(said.length);
    }
  });

  it('each way into the Bench has a name of its own', () => {
    const ways = WAY_IN_IDS.map((id) => sayWayIn(ENGLISH, id));
    expect(new Set(ways).size).toBe(WAY_IN_IDS.length);
  });
});
