import { brokeInputSchema } from '@/core/studio';
import { logBroke } from '@/server';
import { answer } from '../answer';

/** Stores the beat on which a try broke that is in the log. */
export function POST(request: Request) {
  return answer(request, brokeInputSchema, ({ context, viewer }, input) =>
    logBroke(context, viewer, input),
  );
}
