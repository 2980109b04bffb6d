import { connection, NextResponse } from 'next/server';
import { fail, ok } from '@/core/issue';
import { healthNow } from '@/server';

/** For whoever watches over it, and for a page that broke: 200 where the studio file is well, 503 with what is
 * wrong. Nothing of what it holds is said. */
export async function GET(): Promise<NextResponse> {
  await connection();
  const issue = healthNow();
  const headers = { 'cache-control': 'no-store' };
  return NextResponse.json(issue ? fail(issue) : ok(null), { status: issue ? 503 : 200, headers });
}
