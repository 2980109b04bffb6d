import { useSpeech } from '../base';
import { LineNotation } from './line-notation';
import { readLine } from './read-line';

/** Bars that there is room for in a list. */
const MOST_BARS = 2;

/** How a typed line begins, in notation, over its text; the text alone where it cannot be read. */
export function LineStart({ text, meter }: { text: string; meter: string }) {
  const { say } = useSpeech();
  const line = readLine(text, meter);
  if (!line) return <span>{text}</span>;
  const start = { ...line, bars: line.bars.slice(0, MOST_BARS) };
  return (
    <span>
      <LineNotation
        line={start}
        say={say}
        opens={false}
        ends={start.bars.length === line.bars.length}
        className="flex-nowrap text-sm"
      />
      <span className="block text-xs text-soft">{text}</span>
    </span>
  );
}
