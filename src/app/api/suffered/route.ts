import { sufferedInputSchema } from '@/core/studio';
import { logSuffered } from '@/server';
import { answer } from '../answer';

/** Stores what suffered in a try that is in the log. */
export function POST(request: Request) {
  return answer(request, sufferedInputSchema, ({ context, viewer }, input) =>
    logSuffered(context, viewer, input),
  );
}
