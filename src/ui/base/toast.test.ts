import { describe, expect, it } from 'vitest';
import { showToasts, toast } from './toast';

/** What shows messages, as far as these are concerned. */
function fake() {
  const said: string[] = [];
  const note = (kind: string) => (words: unknown) => said.push(`${kind}: ${String(words)}`);
  const sonner = {
    toast: { message: note('message'), success: note('success'), error: note('error') },
  } as unknown as typeof import('sonner');
  return { said, sonner };
}

describe('passing messages', () => {
  it('stay longer where they say what went wrong, and can be closed', () => {
    const told: unknown[] = [];
    const note = (_: unknown, more: unknown) => told.push(more);
    const hide = showToasts({ toast: { message: note, success: note, error: note } } as never);
    toast.message('saved');
    toast.message('taken out', { action: 'undo' as never });
    toast.error('not saved');
    expect(told).toMatchObject([
      { duration: 5000, closeButton: false },
      { duration: 12_000, closeButton: false },
      { duration: 30_000, closeButton: true },
    ]);
    hide();
  });

  it('wait, in their order, until there is what shows them', () => {
    const { said, sonner } = fake();
    toast.success('saved');
    toast.error('not reached');
    expect(said).toEqual([]);
    const hide = showToasts(sonner);
    expect(said).toEqual(['success: saved', 'error: not reached']);
    toast.message('nothing more is due');
    expect(said.at(-1)).toBe('message: nothing more is due');
    hide();
  });

  it('are said once, by whatever shows them then', () => {
    const first = fake();
    showToasts(first.sonner)();
    toast.message('between two screens');
    const second = fake();
    const hide = showToasts(second.sonner);
    expect([first.said, second.said]).toEqual([[], ['message: between two screens']]);
    hide();
  });
});
