'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { Issue, Result } from '@/core/issue';
import type { BundleSummary, Imported } from '@/core/studio';
import {
  attempt,
  attemptOrSay,
  Button,
  saveFile,
  toast,
  Trouble,
  useSpeech,
  useUndo,
} from '../base';

export interface FileActions {
  readonly exportAll: () => Promise<Result<string>>;
  readonly archiveFile: (imported: Imported, archived: boolean) => Promise<Result<null>>;
}

/** Own material, exercises and programs as one file, and such a file taken in, after a look at what it brings. */
export function LibraryFiles({ exportAll, archiveFile }: FileActions) {
  const { say } = useSpeech();
  const router = useRouter();
  const undoable = useUndo();
  const input = useRef<HTMLInputElement>(null);
  const [file, setFile] = useState<{ readonly name: string; readonly text: string } | null>(null);
  const [summary, setSummary] = useState<BundleSummary | null>(null);
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [busy, setBusy] = useState(false);

  async function save() {
    const done = await attemptOrSay(exportAll);
    if (!done) return;
    const name = say.t('screen.programs.fileName');
    saveFile(new Blob([done.value], { type: 'application/json' }), `${name}.mivvel.json`);
  }

  async function send<T>(text: string, act: 'look' | 'take'): Promise<Result<T> | null> {
    setBusy(true);
    const answer = await attempt(async () => {
      const headers = { 'content-type': 'application/json' };
      const body = JSON.stringify({ text, act });
      const response = await fetch('/api/import', { method: 'POST', headers, body });
      return (await response.json()) as Result<T>;
    });
    setBusy(false);
    if (!answer) toast.error(say.t('screen.programs.notImportedNoConnection'));
    else if (!answer.ok) setIssues(answer.issues);
    return answer;
  }

  async function look(chosen: File | undefined) {
    setSummary(null);
    setIssues([]);
    if (!chosen) return setFile(null);
    const read = { name: chosen.name, text: await chosen.text() };
    setFile(read);
    const answer = await send<BundleSummary>(read.text, 'look');
    if (answer?.ok) setSummary(answer.value);
  }

  function forget() {
    if (input.current) input.current.value = '';
    setFile(null);
    setSummary(null);
    setIssues([]);
  }

  async function take() {
    if (!file) return;
    const answer = await send<Imported>(file.text, 'take');
    if (!answer?.ok) return;
    const { value } = answer;
    forget();
    router.refresh();
    undoable(say.t('screen.programs.imported', { file: file.name }), async () => {
      const done = await attemptOrSay(() => archiveFile(value, true));
      router.refresh();
      return done;
    });
  }

  return (
    <section aria-label={say.t('screen.programs.files')} className="flex flex-col gap-3">
      <div className="flex flex-wrap items-center gap-3">
        <Button onClick={() => void save()}>{say.t('screen.programs.everythingAsAFile')}</Button>
        <label className="flex items-center gap-2">
          <span>{say.t('screen.programs.importAFile')}</span>
          <input
            ref={input}
            type="file"
            className="file:mr-2 file:h-8 file:rounded-sm file:border file:border-line file:bg-sheet file:px-3"
            accept=".json,application/json"
            onChange={(event) => void look(event.target.files?.[0])}
          />
        </label>
      </div>
      <Trouble issues={issues} />
      {summary && (
        <div className="flex flex-col gap-2 border-l-3 border-warm pl-3">
          <dl className="grid grid-cols-[8rem_1fr] gap-x-3">
            <Row
              name={say.t('screen.programs.programsCapital')}
              all={summary.programs.map(({ name, items }) =>
                say.t('screen.programs.withItems', { name, items }),
              )}
            />
            <Row name={say.t('screen.common.exercisesCapital')} all={summary.exercises} />
            <Row name={say.t('screen.programs.hereAlready')} all={summary.known} />
            <Row name={say.t('screen.programs.materialsCapital')} all={summary.materials} />
          </dl>
          <div className="flex gap-2">
            <Button look="main" aria-busy={busy} onClick={() => !busy && void take()}>
              {say.t('screen.programs.import')}
            </Button>
            <Button onClick={forget}>{say.t('screen.programs.leaveIt')}</Button>
          </div>
        </div>
      )}
    </section>
  );
}

/** Most names that are said of a list. */
const MOST_NAMES = 12;

function Row({ name, all }: { name: string; all: readonly string[] }) {
  const { say } = useSpeech();
  if (all.length === 0) return null;
  const more = all.length - MOST_NAMES;
  const shown = all.slice(0, MOST_NAMES).join(', ');
  return (
    <>
      <dt className="label">{name}</dt>
      <dd>{more > 0 ? say.t('screen.programs.andMore', { names: shown, more }) : shown}</dd>
    </>
  );
}
