import { describe, expect, it } from 'vitest';
import { must } from '../issue';
import { barTicks, metricalWeight, parseMeter, quarters } from '../time';
import { bruteWeight } from './brute';

describe('weights of the meter', () => {
  it.each([
    ['4/4', [2, 2]],
    ['2/4', [2]],
    ['3/4', [3]],
    ['6/8', [2, 3]],
    ['9/8', [3, 3]],
    ['12/8', [2, 2, 3]],
  ])('%s follows its own tree', (text, tree) => {
    const meter = must(parseMeter(text));
    const bar = barTicks(meter);
    for (let at = 0; at < bar; at += quarters(1, 8)) {
      expect(metricalWeight(at, meter)).toBe(0 + bruteWeight(at, bar, tree));
    }
  });
});
