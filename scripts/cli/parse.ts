import type { Issue, Result } from '@/core/issue';
import { readOstinato } from '@/core/materials';
import { parseGrid, parseSticking } from '@/core/pattern';
import { formatLine, parseLine } from '@/core/reading';
import { parsePhrase } from '@/core/sticking';
import { parseMeter } from '@/core/time';
import { need, textFrom, Wrong, type Io } from './io';

/** Writes what a typed text may mean, a line of JSON for each: a reading line, parts of an ostinato, a sticking, a
 * grid. @throws Wrong with what each of them would need, where it means none of them */
export function parseText(io: Io, given: string, options: { readonly meter: string }): void {
  const text = given === '-' ? textFrom(io, '-').trim() : given;
  const meter = need(parseMeter(options.meter));
  const issues: Issue[] = [];
  const found: object[] = [];
  const take = <T>(result: Result<T>, as: (value: T) => readonly object[]) => {
    if (result.ok) found.push(...as(result.value));
    else issues.push(...result.issues);
  };
  take(parseLine(text, meter), (line) => [
    { kind: 'line', text: formatLine(line), meter: options.meter, bars: line.bars.length },
  ]);
  take(readOstinato(text, meter), (all) =>
    all.map(({ lanes }) => ({ kind: 'ostinato', meter: options.meter, lanes })),
  );
  take(parsePhrase(text, '16'), ({ slots }) => [{ kind: 'sticking', slots }]);
  take(parseSticking(text), (limbs) => [{ kind: 'limbs', limbs }]);
  take(parseGrid(text, []), (slots) => [{ kind: 'grid', slots }]);
  if (found.length === 0) throw new Wrong(issues.slice(0, 3));
  for (const one of found) io.out(`${JSON.stringify(one)}\n`);
}
