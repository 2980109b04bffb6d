import { flushSync } from 'react-dom';

/** Makes a change and puts the focus on what is there after it, before the next key can arrive: a key that is
 * pressed while a frame is waited for would go to what was focused before.
 * @param find what is to be focused, once the change is on screen */
export function focusAfter(change: () => void, find: () => HTMLElement | null | undefined): void {
  flushSync(change);
  find()?.focus();
}
