import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { ACCESS } from '@/core/studio';
import { liveContext, passwordLink } from '@/server';
import { Missing, need, type Io } from './io';
import { SAY } from './say';
import type { OnStudio } from './studio';

/** A link with which somebody sets their password anew: for an owner who has no mail to get it by. */
export async function linkFor(io: Io, email: string, { data }: OnStudio): Promise<void> {
  if (!existsSync(join(data, 'mivvel.sqlite'))) {
    throw new Missing(SAY.t('commandLine.noStudioFile', { folder: data }));
  }
  process.env.MIVVEL_DATA = data;
  const link = await passwordLink(liveContext(), email);
  const isNobody = !link.ok && link.issues.some(({ code }) => code === 'not-found');
  if (isNobody) throw new Missing(SAY.t('commandLine.noEmail', { email, folder: data }));
  io.out(`${need(link)}\n`);
  io.err(`${SAY.t('commandLine.passwordLink', { hours: ACCESS.resetHours })}\n`);
}
