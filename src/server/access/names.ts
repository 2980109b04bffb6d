import * as z from 'zod/mini';
import { fail, ok, type Result } from '@/core/issue';

const email = z.email().check(z.maxLength(200));

/** An address for mail, in small letters. @returns issue `email` */
export function readEmail(typed: string): Result<string> {
  const read = email.safeParse(typed.trim().toLowerCase());
  return read.success ? ok(read.data) : fail({ code: 'email', path: ['email'], text: typed });
}

/** An account's address; null for one that was made for whoever came in without any. */
export function realEmail(email: string | null): string | null {
  return email?.endsWith('@nowhere.invalid') ? null : email;
}
