'use client';

import { useEffect, useState } from 'react';
import type { MaterialContents } from '@/core/materials';
import { attempt, Button, toast, toastIssues, useSpeech } from '../base';
import { useShelf } from '../library';

/** Puts a rules table on the shelf under a name, so that other lines can be read by it. */
export function KeepRules({ rules }: { rules: MaterialContents['rules']['rules'] }) {
  const { say } = useSpeech();
  const { saveRules, materials } = useShelf();
  const [name, setName] = useState<string | null>(null);
  const [saved, setSaved] = useState<string | null>(null);
  const named = materials.find(({ id }) => id === saved)?.name;
  useEffect(() => {
    // Said once the name can be picked, which is a moment after it is kept.
    if (named === undefined) return;
    toast.success(say.t('screen.bench.savedItIsAmongTheInterpretations', { name: named }));
  }, [named, say]);
  function begin() {
    setSaved(null);
    setName('');
  }
  if (name === null || named !== undefined) {
    return (
      <button type="button" className="phrase" onClick={begin}>
        {say.t('screen.bench.saveTheseRules')}
      </button>
    );
  }
  async function keep() {
    if (saved !== null) return;
    const kept = await attempt(() => saveRules(name ?? '', rules));
    if (kept?.ok) {
      setSaved(kept.value.id);
    } else if (kept) {
      toastIssues(kept.issues);
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
