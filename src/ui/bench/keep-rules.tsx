'use client';

import { useState } from 'react';
import { toast } from 'sonner';
import type { MaterialContents } from '@/core/materials';
import { attempt, Button, toastIssues } from '../base';
import { useShelf } from './library';

/** Puts a rules table on the shelf under a name, so that other lines can be read by it. */
export function KeepRules({ rules }: { rules: MaterialContents['rules']['rules'] }) {
  const { saveRules } = useShelf();
  const [name, setName] = useState<string | null>(null);
  if (name === null) {
    return (
      <button type="button" className="phrase" onClick={() => setName('')}>
        save these rules
      </button>
    );
  }
  async function keep() {
    const saved = await attempt(() => saveRules(name ?? '', rules));
    if (saved?.ok) {
      toast.success(`Saved ${name}. It is among the interpretations now.`);
      setName(null);
    } else if (saved) {
      toastIssues(saved.issues);
    } else {
      toast.error('Not saved: no connection.');
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
        aria-label="Name of these rules"
        placeholder="name"
        maxLength={80}
        autoFocus
        className="w-48 rounded-sm border border-line px-1.5 leading-6"
        value={name}
        onChange={(event) => setName(event.target.value)}
        onKeyDown={(event) => event.key === 'Escape' && setName(null)}
      />
      <Button look="quiet" type="submit">
        save
      </Button>
    </form>
  );
}
