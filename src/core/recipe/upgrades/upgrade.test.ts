import { describe, expect, it } from 'vitest';
import { upgrade, versionOf, type Upgrade } from './upgrade';

const slowToTempo: Upgrade = ({ slow, ...rest }) => ({ ...rest, tempo: slow ? 40 : 80 });
const tempoToList: Upgrade = ({ tempo, ...rest }) => ({ ...rest, tempi: [tempo] });

describe('upgrade', () => {
  it.each([
    ['two steps, in their order', { version: 1, slow: true }, { version: 3, tempi: [40] }],
    ['the last step alone', { version: 2, tempo: 60 }, { version: 3, tempi: [60] }],
    ['nothing where it is new', { version: 3, tempi: [1] }, { version: 3, tempi: [1] }],
    ['nothing where it is newer', { version: 9, any: 1 }, { version: 9, any: 1 }],
    ['what has no format', { slow: true }, { slow: true }],
    ['what is no record', 'version 1', 'version 1'],
  ])('%s', (_, before, after) => {
    expect(upgrade(before, [slowToTempo, tempoToList])).toEqual(after);
  });

  it('brings up each member of a sequence', () => {
    const member = { version: 1, slow: true };
    const before = { version: 1, slow: false, then: { bars: 2, members: [{ recipe: member }] } };
    expect(upgrade(before, [slowToTempo])).toEqual({
      version: 2,
      tempo: 80,
      then: { bars: 2, members: [{ recipe: { version: 2, tempo: 40 } }] },
    });
  });

  it('leaves what it was given alone', () => {
    const before = Object.freeze({ version: 1, slow: true });
    upgrade(before, [slowToTempo]);
    expect(versionOf(before)).toBe(1);
  });
});
