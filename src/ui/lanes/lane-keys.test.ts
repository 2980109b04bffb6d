import { describe, expect, it } from 'vitest';
import { DYNAMICS, ORNAMENTS } from '@/core/pattern';
import { actionOf, DYNAMIC_KEYS, ORNAMENT_KEYS } from './lane-keys';

const key = (name: string, held = {}) =>
  actionOf({ key: name, mod: false, alt: false, shift: false, ...held });

describe('actionOf', () => {
  it.each([
    ['ArrowLeft', {}, { kind: 'step', dx: -1, dy: 0, extend: false }],
    ['ArrowDown', { shift: true }, { kind: 'step', dx: 0, dy: 1, extend: true }],
    ['ArrowUp', { alt: true }, { kind: 'carry', dx: 0, dy: -1 }],
    ['Enter', {}, { kind: 'toggle' }],
    ['Delete', {}, { kind: 'remove' }],
    ['Escape', {}, { kind: 'none' }],
    ['a', {}, { kind: 'dynamic', dynamic: 'accent' }],
    ['a', { mod: true }, { kind: 'all' }],
    ['c', { mod: true }, { kind: 'copy' }],
    ['v', { mod: true }, { kind: 'paste' }],
    ['m', {}, { kind: 'ornament', ornament: 'flam' }],
    ['l', {}, { kind: 'limb', letter: 'L' }],
    ['K', {}, { kind: 'limb', letter: 'K' }],
  ])('%s with %j', (name, held, action) => {
    expect(key(name, held)).toEqual(action);
  });

  it.each([
    ['z', { mod: true }],
    ['s', { mod: true }],
    ['d', { alt: true }],
    ['Tab', {}],
    ['F5', {}],
    ['q', {}],
  ])('leaves %s with %j to the page', (name, held) => {
    expect(key(name, held)).toBeNull();
  });

  it('has a key for every ornament, and one for every loudness but the tap', () => {
    expect(Object.values(ORNAMENT_KEYS).sort()).toEqual([...ORNAMENTS].sort());
    expect(Object.values(DYNAMIC_KEYS).sort()).toEqual(
      DYNAMICS.filter((one) => one !== 'tap').sort(),
    );
  });

  it('means one thing by each key', () => {
    const keys = [...Object.keys(DYNAMIC_KEYS), ...Object.keys(ORNAMENT_KEYS)];
    expect(new Set(keys).size).toBe(keys.length);
    expect(keys.filter((one) => /[rlkf]/.test(one))).toEqual([]);
  });
});
