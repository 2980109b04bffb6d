'use client';

import type { Result } from '@/core/issue';
import { attemptOrSay, Button, saveFile, useSpeech } from '../base';
import { ImportFile } from './late';
import type { ArchiveFile } from './use-import';

export interface FileActions {
  readonly exportAll: (withStudents: boolean) => Promise<Result<string>>;
  readonly archiveFile: ArchiveFile;
}

/** The studio as one file, without its students or with them, and files that come in. */
export function LibraryFiles({ exportAll, archiveFile }: FileActions) {
  const { say } = useSpeech();

  async function save(withStudents: boolean) {
    const done = await attemptOrSay(() => exportAll(withStudents));
    if (!done) return;
    const name = say.t(
      withStudents ? 'screen.programs.fileNameWithStudents' : 'screen.programs.fileName',
    );
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
      <ImportFile archive={archiveFile} />
    </section>
  );
}
