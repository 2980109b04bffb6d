'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { LIKELY_CHOICES, MOST_FILE_BYTES, type FileChoices } from '@/core/format';
import type { Issue, Result } from '@/core/issue';
import type { FileLook, Imported } from '@/core/studio';
import type { Say } from '@/words';
import { attempt, attemptOrSay, toast, useUndo } from '../base';

export type ArchiveFile = (imported: Imported, archived: boolean) => Promise<Result<null>>;

/** A file that was chosen, its bytes in Base64. */
interface Chosen {
  readonly name: string;
  readonly base64: string;
}

/** A file on its way in: looked into, its choices changed, taken in with a way back, or left. */
export function useImport(say: Say, archive: ArchiveFile) {
  const router = useRouter();
  const undoable = useUndo();
  const [file, setFile] = useState<Chosen | null>(null);
  const [choices, setChoices] = useState<FileChoices>(LIKELY_CHOICES);
  const [look, setLook] = useState<FileLook | null>(null);
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [busy, setBusy] = useState<string | null>(null);
  const asking = useRef<AbortController | null>(null);

  async function send<T>(
    chosen: Chosen,
    act: 'look' | 'take',
    asked: FileChoices,
  ): Promise<Result<T> | null> {
    asking.current?.abort();
    const mine = new AbortController();
    asking.current = mine;
    setBusy(chosen.name);
    setIssues([]);
    const answer = await attempt(async () => {
      const name = chosen.name.slice(-300);
      const headers = { 'content-type': 'application/json' };
      const body = JSON.stringify({ name, file: chosen.base64, act, choices: asked });
      const { signal } = mine;
      const response = await fetch('/api/import', { method: 'POST', headers, body, signal });
      return (await response.json()) as Result<T>;
    });
    if (asking.current !== mine || mine.signal.aborted) return null;
    setBusy(null);
    if (!answer) toast.error(say.t('imports.notImportedNoConnection'));
    else if (!answer.ok) setIssues(answer.issues);
    return answer;
  }

  async function lookInto(chosen: Chosen, asked: FileChoices) {
    const answer = await send<FileLook>(chosen, 'look', asked);
    if (!answer?.ok) return;
    setLook(answer.value);
    setChoices(asked);
  }

  function forget() {
    asking.current?.abort();
    setFile(null);
    setLook(null);
    setIssues([]);
    setBusy(null);
  }

  return {
    file,
    look,
    choices,
    issues,
    busy,
    forget,
    async choose(chosen: File) {
      forget();
      // The door would not take it.
      if (chosen.size > MOST_FILE_BYTES) {
        setFile({ name: chosen.name, base64: '' });
        return setIssues([{ code: 'body-large', path: [], most: MOST_FILE_BYTES / 1e6 }]);
      }
      const base64 = await attempt(() => base64Of(chosen));
      if (base64 === null) return toast.error(say.t('imports.notRead', { file: chosen.name }));
      const read = { name: chosen.name, base64 };
      setFile(read);
      await lookInto(read, LIKELY_CHOICES);
    },
    /** Looks into it again, with other choices. */
    async change(next: FileChoices) {
      if (file) await lookInto(file, next);
    },
    async take() {
      if (!file || busy !== null) return;
      const { name } = file;
      const answer = await send<Imported>(file, 'take', choices);
      if (!answer?.ok) return;
      forget();
      router.refresh();
      undoable(say.t('imports.imported', { file: name }), async () => {
        const done = await attemptOrSay(() => archive(answer.value, true));
        router.refresh();
        return done;
      });
    },
  };
}

function base64Of(file: File): Promise<string> {
  return new Promise((done, failed) => {
    const reader = new FileReader();
    reader.onerror = () => failed(reader.error ?? new Error(file.name));
    reader.onload = () => done(String(reader.result).replace(/^[^,]*,/, ''));
    reader.readAsDataURL(file);
  });
}
