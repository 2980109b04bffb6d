'use client';

import { useState } from 'react';
import { Button, useSpeech } from '../base';

/** What this student is to watch for in an item, shown on the Stand before what the program says. */
export function CueField({
  cue,
  onCue,
}: {
  cue: string;
  onCue: (text: string) => Promise<boolean>;
}) {
  const { say } = useSpeech();
  const [text, setText] = useState(cue);
  const changed = text.trim() !== cue;
  return (
    <form
      className="flex min-w-0 flex-1 items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (changed) void onCue(text.trim());
      }}
    >
      <input
        aria-label={say.t('screen.students.watchFor')}
        placeholder={say.t('screen.students.watchFor')}
        maxLength={120}
        className="field min-w-24 flex-1"
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      {changed && <Button type="submit">{say.t('screen.common.keepCapital')}</Button>}
    </form>
  );
}
