import { tryInputSchema } from '@/core/studio';
import { logTry } from '@/server';
import { answer } from '../answer';

/** Stores a finished try; answered only once it is in the log. */
export function POST(request: Request) {
  return answer(request, tryInputSchema, ({ context, viewer }, input) =>
    logTry(context, viewer, input),
  );
}
