import { describe, expect, it } from 'vitest';
import { SUFFERINGS } from '@/core/log';
import type { EntryId } from '@/core/studio';
import { askSuffered } from './asking';
import type { Stand } from './round';

/** What can be answered after something was played for which so much is to be watched. */
function options(cues: readonly string[] | null) {
  const stand = { played: cues && { cues } } as unknown as Stand;
  const { stage } = askSuffered(stand, 'try' as EntryId);
  return stage.kind === 'suffered' ? stage.options : [];
}

describe('what went wrong', () => {
  const all = SUFFERINGS.map(({ id }) => id);

  it('is nothing, or any of what can suffer', () => {
    expect(options(['left foot even'])).toEqual([null, ...all]);
  });

  it('asks for what was to be watched for only where there was such a thing', () => {
    const rest = all.filter((id) => id !== 'cue');
    expect(rest).toHaveLength(all.length - 1);
    expect(options([])).toEqual([null, ...rest]);
    expect(options(null)).toEqual([null, ...rest]);
  });
});
