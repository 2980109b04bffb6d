'use client';

import { useSpeech } from '../base';
import { EntryForm, type EntryAction } from './entry-form';

/** A student's private link, before it lets in: looking at an address alone, as messengers do, signs nobody in. */
export function ByLink({ enter, address }: { enter: EntryAction; address: string }) {
  const { say } = useSpeech();
  return (
    <EntryForm
      action={enter}
      fields={[]}
      submit={say.t('screen.entry.goIn')}
      hidden={{ address }}
    />
  );
}
