'use client';

import { useRef, useState, type ClipboardEvent, type KeyboardEvent } from 'react';
import type { Issue } from '@/core/issue';
import { barNumbers, barsOfText, textOfBars } from '@/core/reading';
import { Button, focusAfter, Trouble, useSpeech } from '../base';
import { LineNotation, readLine } from '../marks';

/** Bars beside each other in a system. */
const BARS_OF_A_SYSTEM = 4;

/** Most bars of a page. */
const MOST_BARS = 64;

/** Bars that follow each other, the first from 0. */
export interface PagePart {
  readonly from: number;
  readonly count: number;
}

/** A page of reading text: each bar is typed in a field of its own, four to a system. Enter or | goes on to
 * the next bar, arrows up and down to the next system; Backspace in an empty bar takes it out. A press on the notes of
 * a bar, or on the numbers of a system, plays that alone. */
export function LinePage({
  text,
  meter,
  issues,
  taken,
  onTake,
  onChange,
  onSettle,
}: {
  text: string;
  meter: string;
  issues: readonly Issue[];
  /** What of the page is played; null plays it whole. */
  taken: PagePart | null;
  /** Plays a part of the page alone; null plays it whole. */
  onTake: (part: PagePart | null) => void;
  onChange: (text: string) => void;
  onSettle: () => void;
}) {
  const { say } = useSpeech();
  const page = useRef<HTMLOListElement>(null);
  /** Bars as they are typed, with the spaces and empty bars that the line of them leaves out. */
  const [typed, setTyped] = useState<{ readonly text: string; readonly bars: readonly string[] }>();
  const bars = typed?.text === text ? typed.bars : barsOfText(text);

  const numbers = barNumbers(bars);
  // Within the whole a bar keeps its tie into the next one.
  const whole = readLine(textOfBars(bars), meter);
  const isTaken = ({ from, count }: PagePart) => taken?.from === from && taken.count === count;
  const take = (part: PagePart) => onTake(isTaken(part) ? null : part);
  const systems = Array.from({ length: Math.ceil(bars.length / BARS_OF_A_SYSTEM) }, (_, index) => {
    const from = index * BARS_OF_A_SYSTEM;
    return { from, count: Math.min(BARS_OF_A_SYSTEM, bars.length - from) };
  });

  function set(next: readonly string[]) {
    const line = textOfBars(next);
    setTyped({ text: line, bars: next });
    onChange(line);
  }

  /** Goes to a bar, which may only be there after a change. */
  function goTo(index: number, change: () => void = () => {}) {
    focusAfter(change, () => page.current?.querySelectorAll('input')[index]);
  }

  function goOn(index: number) {
    const last = index + 1 === bars.length && bars.length < MOST_BARS;
    goTo(index + 1, last ? () => set([...bars, '']) : undefined);
  }

  function onKeyDown(event: KeyboardEvent, index: number) {
    if (event.key === 'Enter' || event.key === '|') goOn(index);
    else if (event.key === 'ArrowDown') goTo(Math.min(bars.length - 1, index + BARS_OF_A_SYSTEM));
    else if (event.key === 'ArrowUp') goTo(Math.max(0, index - BARS_OF_A_SYSTEM));
    else if (event.key === 'Backspace' && bars[index] === '' && bars.length > 1) {
      goTo(Math.max(0, index - 1), () => set(bars.filter((_, at) => at !== index)));
    } else return;
    event.preventDefault();
  }

  /** Several bars at once, parted by bar lines or by lines of text. */
  function onPaste(event: ClipboardEvent, index: number) {
    const pasted = event.clipboardData.getData('text').trim();
    const several = pasted.split(/\s*\|\s*|\s*\n\s*/).filter(Boolean);
    if (several.length < 2) return;
    event.preventDefault();
    const next = [...bars.slice(0, index), ...several, ...bars.slice(index + 1)];
    goTo(index + several.length - 1, () => set(next.slice(0, MOST_BARS)));
  }

  return (
    <ol
      ref={page}
      aria-label={say.t('screen.bench.pageOfBars')}
      className="grid grid-cols-[repeat(4,minmax(0,1fr))_auto] gap-x-2 gap-y-1"
      onBlur={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget)) onSettle();
      }}
    >
      {bars.map((bar, index) => {
        const { from = index + 1, count = 1 } = numbers[index] ?? {};
        const here = issues.filter(
          (issue) => 'bar' in issue && issue.bar >= from && issue.bar < from + count,
        );
        return (
          <li
            key={index}
            style={{ gridColumn: (index % BARS_OF_A_SYSTEM) + 1 }}
            className={taken && !isWithin(index, taken) ? 'opacity-45' : ''}
          >
            <div className="flex items-baseline gap-1">
              <span className="w-5 shrink-0 text-right text-xs text-soft">{from}</span>
              <input
                aria-label={say.t('screen.bench.barNumber', { bar: from })}
                aria-invalid={here.length > 0}
                autoComplete="off"
                spellCheck={false}
                maxLength={200}
                className="phrase-field w-full min-w-0"
                value={bar}
                onChange={(event) =>
                  set(bars.map((one, at) => (at === index ? event.target.value : one)))
                }
                onKeyDown={(event) => onKeyDown(event, index)}
                onPaste={(event) => onPaste(event, index)}
              />
            </div>
            <Written
              line={
                whole ? { ...whole, bars: whole.bars.slice(from - 1, from) } : readLine(bar, meter)
              }
              opens={index === 0}
              ends={index === bars.length - 1}
              bar={from}
              isTaken={isTaken({ from: index, count: 1 })}
              onTake={bars.length > 1 ? () => take({ from: index, count: 1 }) : null}
            />
            <Trouble issues={here} />
          </li>
        );
      })}
      {bars.length > BARS_OF_A_SYSTEM &&
        systems.map((system, row) => {
          const first = numbers[system.from]?.from ?? 1;
          const { from = 1, count = 1 } = numbers[system.from + system.count - 1] ?? {};
          return (
            <li key={`system ${system.from}`} style={{ gridColumn: 5, gridRow: row + 1 }}>
              <Button
                look="quiet"
                className="px-1 text-xs"
                aria-label={say.t('screen.bench.playBarsAlone', {
                  first,
                  last: from + count - 1,
                })}
                aria-pressed={isTaken(system)}
                onClick={() => take(system)}
              >
                {`${first}–${from + count - 1}`}
              </Button>
            </li>
          );
        })}
    </ol>
  );
}

function isWithin(index: number, { from, count }: PagePart): boolean {
  return index >= from && index < from + count;
}

/** A bar as a reader knows it; nothing while it cannot be read. A press on it plays it alone.
 * @param bar its number */
function Written({
  line,
  opens,
  ends,
  bar,
  isTaken,
  onTake,
}: {
  line: ReturnType<typeof readLine>;
  opens: boolean;
  ends: boolean;
  bar: number;
  isTaken: boolean;
  onTake: (() => void) | null;
}) {
  const { say } = useSpeech();
  if (!line || line.bars.length === 0) return null;
  const notes = (
    <LineNotation line={line} say={say} opens={opens} ends={ends} className="text-sm" />
  );
  if (!onTake) return <span className="pl-6">{notes}</span>;
  return (
    <button
      type="button"
      aria-label={say.t('screen.bench.playBarAlone', { bar })}
      aria-pressed={isTaken}
      className="ml-5 rounded-sm px-1 hover:bg-faint aria-pressed:bg-warm-wash"
      onClick={onTake}
    >
      {notes}
    </button>
  );
}
