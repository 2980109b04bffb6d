import { parseLine, type ReadingLine } from '@/core/reading';
import { parseMeter } from '@/core/time';

/** A typed line; null while it cannot be read. */
export function readLine(text: string, meterText: string): ReadingLine | null {
  const meter = parseMeter(meterText);
  const line = meter.ok && text.trim() !== '' ? parseLine(text, meter.value) : null;
  return line?.ok ? line.value : null;
}
