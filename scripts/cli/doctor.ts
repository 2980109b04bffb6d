import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import type { Issue } from '@/core/issue';
import { faultOf, nearerTrouble } from '@/db';
import { issueOf, listBackups } from '@/server/backups';
import { readSettings, WrongSetting } from '@/server/settings';
import { Missing, Wrong, type Io } from './io';
import { SAY } from './say';
import type { OnStudio } from './studio';

/** Older than this the last backup is worth a word; days. */
const OLD_DAYS = 3;

/** Looks whether an installation can work: its settings, the studio file, the disk, the backups.
 * @throws Wrong, Missing with what is wrong */
export function examine(io: Io, { data }: OnStudio, now: number): void {
  process.env.MIVVEL_DATA = data;
  const say = (text: string) => io.err(`${text}\n`);
  try {
    readSettings(process.env);
  } catch (error) {
    if (error instanceof WrongSetting) {
      throw new Missing(SAY.t('commandLine.doctor.settings', { names: error.message }));
    }
    throw error;
  }
  const file = join(data, 'mivvel.sqlite');
  if (!existsSync(file)) throw new Missing(SAY.t('commandLine.noStudioFile', { folder: data }));
  const trouble = nearerTrouble(file);
  if (trouble) throw new Wrong([issueOf(trouble, file)]);
  const fault = faultOf(file);
  if (fault && !fault.ok) {
    const damaged: Issue = {
      ...{ code: 'storage', path: [], trouble: 'damaged', file },
      backup: listBackups().find((one) => one.locked || !faultOf(one.file))?.file ?? null,
    };
    throw new Wrong(fault.issues[0]?.code === 'backup-newer' ? fault.issues : [damaged], '');
  }
  say(SAY.t('commandLine.doctor.whole', { file }));
  const left = readdirSync(data).filter((name) => /\.(part|coming)$/.test(name));
  if (left.length > 0) say(SAY.t('commandLine.doctor.left', { names: left.join(', ') }));
  const [latest] = listBackups();
  if (!latest) say(SAY.t('commandLine.doctor.noBackup'));
  else {
    const days = Math.floor((now - latest.at) / 86_400_000);
    say(SAY.t('commandLine.doctor.backup', { file: latest.file, days }));
    if (days > OLD_DAYS) say(SAY.t('commandLine.doctor.oldBackup'));
  }
}
