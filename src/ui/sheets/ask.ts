import type { Issue } from '@/core/issue';
import type { Look, Page, SheetOf } from '@/core/print';

/** A line of the answer. */
export interface Answered {
  /** Where codes lead; it comes to a teacher alone. */
  readonly address?: string | null;
  readonly done?: number;
  readonly of?: number;
  readonly pages?: readonly Page[];
  readonly pdf?: string;
  readonly issues?: readonly Issue[];
}

/** Asks for sheets; lines come as they are made.
 * @param signal stops the making too
 * @throws where the connection breaks */
export async function* askForSheets(
  what: SheetOf,
  look: Look,
  as: 'pages' | 'pdf',
  signal: AbortSignal,
): AsyncGenerator<Answered> {
  const response = await fetch('/api/sheets', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ what, look, as }),
    signal,
  });
  if (!response.ok) {
    yield (await response.json()) as Answered;
    return;
  }
  const reader = response.body?.getReader();
  const decoder = new TextDecoder();
  let rest = '';
  for (;;) {
    const chunk = await reader?.read();
    if (!chunk || chunk.done) return;
    const lines = (rest + decoder.decode(chunk.value, { stream: true })).split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines) yield JSON.parse(line) as Answered;
  }
}
