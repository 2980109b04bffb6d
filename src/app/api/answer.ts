import { NextResponse } from 'next/server';
import type { z } from 'zod';
import { fail, type Result } from '@/core/issue';
import { visitOrNull, type Visit } from '../viewer';

/** Reads a posted entry, checks it, hands it to a use case and answers with the result. */
export async function answer<Input>(
  request: Request,
  schema: z.ZodType<Input>,
  run: (visit: Visit, input: Input) => Result<unknown>,
): Promise<NextResponse> {
  const visit = await visitOrNull();
  if (!visit) return reply(401, fail({ code: 'not-yours', path: [], what: 'stand' }));
  const json: unknown = await request.json().catch(() => undefined);
  const input = schema.safeParse(json);
  if (!input.success) {
    const what = input.error.issues
      .map((issue) => `${issue.path.join(' ') || 'the whole'}: ${issue.message}`)
      .join('; ');
    return reply(400, fail({ code: 'entry-shape', path: [], what }));
  }
  const result = run(visit, input.data);
  return reply(result.ok ? 200 : 409, result);
}

function reply(status: number, result: Result<unknown>): NextResponse {
  return NextResponse.json(result, { status });
}
