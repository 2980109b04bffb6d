import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { backUp, restore } from '@/db';
import { readSettings } from '@/server/settings';
import { Missing, need, type Io } from './io';
import { SAY } from './say';
import type { OnStudio } from './studio';

const PASSPHRASE = () => readSettings(process.env).MIVVEL_BACKUP_PASSPHRASE ?? null;

/** Copies the studio's file, which may be in use. */
export async function backUpTo(io: Io, to: string, { data }: OnStudio): Promise<void> {
  const file = join(data, 'mivvel.sqlite');
  if (!existsSync(file)) throw new Missing(SAY.t('commandLine.noStudioFile', { folder: data }));
  if (existsSync(to)) throw new Missing(SAY.t('commandLine.fileThere', { file: to }));
  need(await backUp(file, to, PASSPHRASE()), file);
  io.err(`${SAY.t('commandLine.backedUp', { to })}\n`);
}

/** Puts a backup in the place of the studio's file. */
export async function restoreFrom(
  io: Io,
  from: string,
  { data }: OnStudio,
  now: Date,
): Promise<void> {
  if (!existsSync(from)) throw new Missing(SAY.t('commandLine.noFile', { file: from }));
  const name = `mivvel.before-${now.toISOString().replace(/[:.]/g, '-')}.sqlite`;
  need(await restore(from, data, name, PASSPHRASE()), from);
  const kept = join(data, name);
  const said = existsSync(kept)
    ? SAY.t('commandLine.restoredKept', { from, kept })
    : SAY.t('commandLine.restored', { from });
  io.err(`${said}\n`);
}
