import { MOST_FILE_BODY } from '@/core/format';
import { fail, ok, type Result } from '@/core/issue';

/** Most bytes that each door takes: a week of entries, a file, a book of recipes. What comes to no
 * door of its own is an action or a form. */
const MOST_BYTES: Readonly<Record<string, number>> = {
  '/api/log': 2_000_000,
  '/api/import': MOST_FILE_BODY,
  '/api/sheets': 8_000_000,
  '/api/address': 4_000,
};

const MOST_OF_A_FORM = 1_000_000;

/** Most bytes that come through the door at an address. */
export function mostBytesAt(path: string): number {
  return MOST_BYTES[path] ?? MOST_OF_A_FORM;
}

/** The JSON of a request; reading ends as soon as it is more than its door takes.
 * @returns undefined for what is no JSON; issue `body-large` */
export async function jsonOf(request: Request): Promise<Result<unknown>> {
  const most = mostBytesAt(new URL(request.url).pathname);
  const tooLarge = fail({ code: 'body-large', path: [], most: most / 1e6 });
  if (Number(request.headers.get('content-length') ?? 0) > most) return tooLarge;
  const reader = request.body?.getReader();
  const decoder = new TextDecoder();
  let text = '';
  let size = 0;
  for (;;) {
    const chunk = await reader?.read();
    if (!chunk || chunk.done) break;
    size += chunk.value.length;
    if (size > most) {
      await reader?.cancel();
      return tooLarge;
    }
    text += decoder.decode(chunk.value, { stream: true });
  }
  try {
    return ok(JSON.parse(text + decoder.decode()) as unknown);
  } catch {
    return ok(undefined);
  }
}
