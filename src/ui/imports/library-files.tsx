'use client';

import { useRef, useState } from 'react';
import type { Result } from '@/core/issue';
import { attemptOrSay, Button, saveFile, useSpeech } from '../base';
import { ImportFile } from './late';
import { takenFile } from './taken-file';
import type { ArchiveFile } from './use-import';

export interface FileActions {
  readonly exportAll: (withStudents: boolean) => Promise<Result<string>>;
  readonly archiveFile: ArchiveFile;
}

/** The studio as one file, without its students or with them, and files that come in. */
export function LibraryFiles({ exportAll, archiveFile }: FileActions) {
  const { say } = useSpeech();
  const [writing, setWriting] = useState<string | null>(null);
  /** The file that is waited for; what was stopped comes to nothing. */
  const asked = useRef<object | null>(null);

  function stop() {
    asked.current = null;
    setWriting(null);
  }

  async function save(withStudents: boolean) {
    const name = say.t(
      withStudents ? 'screen.programs.fileNameWithStudents' : 'screen.programs.fileName',
    );
    const mine = { name };
    asked.current = mine;
    setWriting(name);
    const done = await attemptOrSay(() => exportAll(withStudents));
    if (asked.current !== mine) return;
    stop();
    if (!done) return;
    saveFile(new Blob([done.value], { type: 'application/json' }), `${name}.mivvel.json`);
  }

  return (
    <section aria-label={say.t('screen.programs.files')} className="flex flex-col gap-3">
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => void save(false)}>
          {say.t('screen.programs.everythingAsAFile')}
        </Button>
        <Button onClick={() => void save(true)}>{say.t('screen.programs.studioAsAFile')}</Button>
      </div>
      <p role="status" className="flex items-center gap-3 text-soft empty:hidden">
        {writing !== null && (
          <>
            {say.t('screen.programs.writingFile', { file: writing })}
            <Button look="quiet" onClick={stop}>
              {say.t('screen.common.stop')}
            </Button>
          </>
        )}
      </p>
      <ImportFile archive={archiveFile} comes={takenFile} />
    </section>
  );
}
