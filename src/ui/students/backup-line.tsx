'use client';

import { useState } from 'react';
import type { Result } from '@/core/issue';
import type { Backup, Backups } from '@/core/studio';
import { sayInstant } from '@/words';
import { attemptOrSay, Button, Trouble, useSpeech } from '../base';

/** The last copy of the studio file: when, how large and where; another one at a touch. */
export function BackupLine({
  backups,
  backUp,
}: {
  backups: Backups;
  backUp: () => Promise<Result<Backup>>;
}) {
  const { say } = useSpeech();
  const [made, setMade] = useState<Backup | null>(null);
  const [busy, setBusy] = useState(false);
  const { folder, hours, issue } = backups;
  const latest = made ?? backups.latest;
  async function make() {
    setBusy(true);
    const done = await attemptOrSay(backUp);
    setBusy(false);
    if (done) setMade(done.value);
  }
  return (
    <section
      aria-label={say.t('screen.students.backups')}
      className="flex flex-wrap items-baseline gap-x-4 gap-y-1 text-sm text-soft"
    >
      <p role="status">
        {latest === null
          ? say.t('screen.students.noBackup', { folder })
          : say.t('screen.students.lastBackup', {
              at: sayInstant(say, latest.at),
              mb: latest.bytes / 1e6,
              locked: latest.locked ? 'yes' : 'no',
              folder,
            })}{' '}
        {say.t('screen.students.backupEvery', { hours })}
      </p>
      <Button onClick={() => void make()} disabled={busy}>
        {say.t(busy ? 'screen.students.backingUp' : 'screen.students.backUpNow')}
      </Button>
      {issue && made === null && <Trouble issues={[issue]} />}
    </section>
  );
}
