'use client';

import { Download } from 'lucide-react';
import type { Result } from '@/core/issue';
import type { Person } from '@/core/studio';
import {
  attemptOrSay,
  Button,
  buttonLook,
  Pop,
  PopRoot,
  PopTrigger,
  saveFile,
  useSpeech,
} from '../base';

export interface StudentFileActions {
  /** The log as a table. */
  readonly csv: () => Promise<Result<string>>;
  /** The student with what they were given and their log, for another studio. */
  readonly bundle: () => Promise<Result<string>>;
}

/** What a student did, as a file. */
export function StudentFiles({
  student: { name },
  actions,
  hasLog,
}: {
  student: Pick<Person, 'name'>;
  actions: StudentFileActions;
  /** Whether there is anything for a table. */
  hasLog: boolean;
}) {
  const { say } = useSpeech();

  async function save(ask: () => Promise<Result<string>>, type: string, ending: string) {
    const done = await attemptOrSay(ask);
    if (done) saveFile(new Blob([done.value], { type }), `${name}.${ending}`);
  }

  return (
    <PopRoot>
      <PopTrigger className={buttonLook()}>
        <Download size={14} aria-hidden /> {say.t('screen.common.files')}
      </PopTrigger>
      <Pop className="flex w-64 flex-col gap-2 p-3">
        {hasLog && (
          <Button onClick={() => void save(actions.csv, 'text/csv', 'csv')}>
            {say.t('screen.students.logAsCsv')}
          </Button>
        )}
        <Button onClick={() => void save(actions.bundle, 'application/json', 'mivvel.json')}>
          {say.t('screen.students.withLogAsAFile')}
        </Button>
      </Pop>
    </PopRoot>
  );
}
