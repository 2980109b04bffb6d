import { describe, expect, it } from 'vitest';
import { isCertainOrigin, isOurHost, isOurOrigin, knowAddress, originsForOthers } from './hosts';

describe('isOurHost', () => {
  it.each([
    'localhost',
    'localhost:3000',
    'LOCALHOST.:3000',
    '127.0.0.1:3000',
    '192.168.0.7',
    '[::1]:3000',
    '[fe80::1]',
    'studio.lan:8443',
  ])('%s is', (host) => expect(isOurHost(host, ['studio.lan'])).toBe(true));

  it.each([null, '', 'evil.example', 'studio.lan.evil.example', '127.0.0.1.evil.example', 'lan'])(
    '%s is not',
    (host) => expect(isOurHost(host, ['studio.lan'])).toBe(false),
  );

  it('a name that a teacher has set is from then on', () => {
    expect(isOurHost('drums.lan', [])).toBe(false);
    knowAddress('http://Drums.lan:3000');
    expect(isOurHost('drums.lan:3000', [])).toBe(true);
    knowAddress(null);
    expect(isOurHost('drums.lan', [])).toBe(true);
  });
});

describe('isOurOrigin', () => {
  it.each([
    ['http://localhost:3000', 'localhost:3000', true],
    ['https://studio.lan', 'studio.lan', true],
    ['http://localhost:3001', 'localhost:3000', false],
    ['http://evil.example', 'localhost:3000', false],
    ['null', 'localhost:3000', false],
    [null, 'localhost:3000', false],
    ['http://localhost:3000', null, false],
  ])('%s at %s: %s', (origin, host, ours) => expect(isOurOrigin(origin, host)).toBe(ours));
});

describe('originsForOthers', () => {
  it('offers addresses of this computer where it was asked by a name that leads to itself alone', () => {
    for (const origin of originsForOthers('http://localhost:3000')) {
      expect(origin).toMatch(/^http:\/\/\d+\.\d+\.\d+\.\d+:3000$/);
      expect(origin).not.toContain('127.');
    }
    expect(originsForOthers('http://127.0.0.1')).toEqual(originsForOthers('http://[::1]'));
    expect(originsForOthers('http://192.168.1.20:3000')).toEqual([]);
    expect(originsForOthers('https://drums.example')).toEqual([]);
  });
});

describe('isCertainOrigin', () => {
  it('takes names that were told and addresses of this computer, and no number of another', () => {
    expect(isCertainOrigin('http://127.0.0.1:3000', [])).toBe(true);
    expect(isCertainOrigin('http://localhost:3000', [])).toBe(true);
    expect(isCertainOrigin('https://drums.lan', ['drums.lan'])).toBe(true);
    for (const here of originsForOthers('http://localhost:3000')) {
      expect(isCertainOrigin(here, [])).toBe(true);
    }
    // Documentation's own (RFC 5737), so no computer has it.
    expect(isOurHost('203.0.113.5:3000', [])).toBe(true);
    expect(isCertainOrigin('http://203.0.113.5:3000', [])).toBe(false);
    expect(isCertainOrigin('http://evil.example', [])).toBe(false);
    expect(isCertainOrigin('nonsense', [])).toBe(false);
  });
});
