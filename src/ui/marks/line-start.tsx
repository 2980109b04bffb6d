import type { Say } from '@/words';
import { LineNotation } from './line-notation';
import { readLine } from './read-line';

/** Bars that there is room for in a list. */
const MOST_BARS = 2;

/** How a typed line begins, in notation, for a list of several; null where it cannot be read. */
export function lineStart(text: string, meter: string, say: Say) {
  const line = readLine(text, meter);
  if (!line) return null;
  const start = { ...line, bars: line.bars.slice(0, MOST_BARS) };
  return (
    <LineNotation
      line={start}
      say={say}
      opens={false}
      ends={start.bars.length === line.bars.length}
      className="flex-nowrap text-sm"
    />
  );
}
