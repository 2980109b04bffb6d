import type { Layer } from '../pattern';
import type { Change } from './change-schema';

/** The change that added a layer; undefined where an ingredient brought it. */
export function changeThatAdded({ added }: Layer): Change | undefined {
  // Only changes add layers, and they put themselves there.
  return added as Change | undefined;
}
