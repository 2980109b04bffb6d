/** Two pedals are enough: right is clean and on, left is not clean and step. */
export type Side = 'right' | 'left';

const KEYS: Readonly<Record<string, Side>> = {
  ' ': 'right',
  Enter: 'right',
  ArrowRight: 'right',
  ArrowUp: 'right',
  PageDown: 'right',
  ArrowLeft: 'left',
  ArrowDown: 'left',
  PageUp: 'left',
  Escape: 'left',
};

/** The pedal that a key stands for; null for other keys, with modifiers, and where a control that
 * has the focus, or a dialog, takes the key for itself. */
export function sideOf(event: KeyboardEvent): Side | null {
  if (event.ctrlKey || event.metaKey || event.altKey) return null;
  const on = event.target instanceof Element ? event.target : null;
  if (on?.closest('input, [role=dialog]')) return null;
  const onControl = on?.closest('button, a') != null;
  if (onControl && (event.key === ' ' || event.key === 'Enter')) return null;
  return KEYS[event.key] ?? null;
}
