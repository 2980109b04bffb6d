import type { Issue } from '@/core/issue';
import type { Look, Page } from '@/core/print';
import type { PersonId, ProgramId } from '@/core/studio';
import type { ClosedRecipe } from '@/core/recipe';

/** What is wanted on paper. */
export type SheetOf =
  | {
      readonly kind: 'exercises';
      readonly title: string;
      readonly entries: readonly { readonly name: string; readonly recipe: ClosedRecipe }[];
      readonly bpm: number | null;
    }
  | { readonly kind: 'line'; readonly name: string; readonly text: string; readonly meter: string }
  | { readonly kind: 'program'; readonly program: ProgramId }
  | { readonly kind: 'week'; readonly student: PersonId; readonly program: ProgramId | null }
  | { readonly kind: 'class'; readonly program: ProgramId };

/** A line of the answer. */
export interface Answered {
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
