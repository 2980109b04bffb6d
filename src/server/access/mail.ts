import { createTransport } from 'nodemailer';
import type { StudioId } from '@/core/studio';
import { keepMail } from '@/db';
import { newId, type Context } from '../context';
import { logger } from '../logger';
import { readSettings } from '../settings';
import { locked } from './secret';

export interface Letter {
  readonly to: string;
  readonly subject: string;
  readonly text: string;
}

/** Sends mail through the server that the settings name. Without one, or where it does not take it, the letter waits
 * in the studio for its owner, who passes it on by hand.
 * @returns whether it was sent */
export async function post(context: Context, studioId: StudioId, letter: Letter): Promise<boolean> {
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
  const at = context.now();
  const sealed = locked(JSON.stringify({ subject: letter.subject, text: letter.text }));
  keepMail(context.db, studioId, { id: newId(context), at, to: letter.to, sealed });
  return false;
}
