import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deflateSync } from 'fflate';
import { base64urlnopad } from '@scure/base';
import { MOST_FILE_BYTES, packFile, unpackFile } from '.';

const textOf = (bytes: Uint8Array | null) => bytes && new TextDecoder().decode(bytes);

describe('packFile', () => {
  it('comes back as it was, in letters that an address carries', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 5000 }), (text) => {
        const packed = packFile(text);
        expect(packed).toMatch(/^[\w-]*$/);
        expect(textOf(unpackFile(packed))).toBe(text);
      }),
    );
  });

  it('gives nothing for what is no packed file', () => {
    expect(unpackFile('not packed')).toBeNull();
    expect(unpackFile('AAAA!')).toBeNull();
    expect(unpackFile('____')).toBeNull();
  });

  it('stops at the size of a file that may come in, however small it was packed', () => {
    const bomb = base64urlnopad.encode(deflateSync(new Uint8Array(MOST_FILE_BYTES + 1)));
    expect(bomb.length).toBeLessThan(MOST_FILE_BYTES / 100);
    expect(unpackFile(bomb)).toBeNull();
  });
});
