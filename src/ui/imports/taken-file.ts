import { unpackFile } from '@/core/format';

const TAKEN = /^#take=([\w-]+)$/;

/** The file that came along in the address, from a program that another Mivvel shares; it is taken out of the address, so
 * that it comes once.
 * @returns an empty one where it was damaged on the way, null where none came */
export function takenFile(): File | null {
  const packed = TAKEN.exec(window.location.hash)?.[1];
  if (packed === undefined) return null;
  window.history.replaceState(null, '', window.location.pathname + window.location.search);
  return new File([unpackFile(packed) ?? ''], 'shared.mivvel.json');
}
