import { connection, NextResponse } from 'next/server';
import { isReady } from '@/server';

/** For a proxy that waits until it may send visitors: 200 once what they need first is loaded and the studio file can be
 * read and written, 503 before. */
export async function GET(): Promise<NextResponse> {
  await connection();
  const ready = isReady();
  const headers = { 'cache-control': 'no-store' };
  return NextResponse.json({ ready }, { status: ready ? 200 : 503, headers });
}
