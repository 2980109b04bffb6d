'use client';

import { useState } from 'react';
import type { MaterialContents } from '@/core/materials';
import { attempt, Button, toast, toastIssues, useSpeech } from '../base';
import { useShelf } from '../library';

/** Puts a rules table on the shelf under a name, so that other lines can be read by it. */
export function KeepRules({ rules }: { rules: MaterialContents['rules']['rules'] }) {
  const { say } = useSpeech();
  const { saveRules } = useShelf();
  const [name, setName] = useState<string | null>(null);
  if (name === null) {
    return (
      <button type="button" className="phrase" onClick={() => setName('')}>
        {say.t('screen.bench.saveTheseRules')}
      </button>
    );
  }
  async function keep() {
    const saved = await attempt(() => saveRules(name ?? '', rules));
    if (saved?.ok) {
      toast.success(say.t('screen.bench.savedItIsAmongTheInterpretations', { name: name ?? '' }));
      setName(null);
    } else if (saved) {
      toastIssues(saved.issues);
    } else {
      toast.error(say.t('screen.common.notSavedNoConnection'));
    }
  }
  return (
    <form
      className="inline-flex items-center gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <input
        aria-label={say.t('screen.bench.nameOfTheseRules')}
        placeholder={say.t('screen.bench.name')}
        maxLength={80}
        autoFocus
        className="w-48 rounded-sm border border-line px-1.5 leading-6"
        value={name}
        onChange={(event) => setName(event.target.value)}
        onKeyDown={(event) => event.key === 'Escape' && setName(null)}
      />
      <Button look="quiet" type="submit">
        {say.t('screen.bench.save')}
      </Button>
    </form>
  );
}
