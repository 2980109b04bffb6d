'use client';

import type { Result } from '@/core/issue';
import { attemptOrSay, Button, saveFile, useSpeech } from '../base';
import { ImportFile } from './late';
import type { ArchiveFile } from './use-import';

export interface FileActions {
  readonly exportAll: () => Promise<Result<string>>;
  readonly archiveFile: ArchiveFile;
}

/** Own material, exercises and programs as one file, and files that come in. */
export function LibraryFiles({ exportAll, archiveFile }: FileActions) {
  const { say } = useSpeech();

  async function save() {
    const done = await attemptOrSay(exportAll);
    if (!done) return;
    const name = say.t('screen.programs.fileName');
    saveFile(new Blob([done.value], { type: 'application/json' }), `${name}.mivvel.json`);
  }

  return (
    <section aria-label={say.t('screen.programs.files')} className="flex flex-col gap-3">
      <div>
        <Button onClick={() => void save()}>{say.t('screen.programs.everythingAsAFile')}</Button>
      </div>
      <ImportFile archive={archiveFile} />
    </section>
  );
}
