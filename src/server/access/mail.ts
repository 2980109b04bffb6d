import { createTransport } from 'nodemailer';
import type { OwnerStore } from '@/db';
import { newId } from '../context';
import { logger } from '../logger';
import { readSettings } from '../settings';
import { locked } from './secret';

/** Keeps a letter that waits for the owner. */
export type KeepMail = OwnerStore['keepMail'];

interface Letter {
  readonly to: string;
  readonly subject: string;
  readonly text: string;
}

/** Sends mail through the server that the settings name. Without one, or where it does not take it, the letter waits
 * in the studio for its owner, who passes it on by hand.
 * @param keep keeps it there
 * @returns whether it was sent */
export async function post(now: () => number, keep: KeepMail, letter: Letter): Promise<boolean> {
  const { MIVVEL_SMTP: server, MIVVEL_MAIL_FROM: from } = readSettings(process.env);
  if (server !== undefined) {
    try {
      await createTransport({
        url: server,
        disableFileAccess: true,
        disableUrlAccess: true,
      }).sendMail({ ...letter, from });
      return true;
    } catch (error) {
      // It waits for the owner instead.
      logger().error({ err: error }, 'mail');
    }
  }
  const sealed = locked(JSON.stringify({ subject: letter.subject, text: letter.text }));
  keep({ id: newId({ now }), at: now(), to: letter.to, sealed });
  return false;
}
