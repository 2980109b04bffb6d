'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState, type KeyboardEvent } from 'react';
import { type Issue, type Result } from '@/core/issue';
import { rungAt } from '@/core/ladder';
import {
  daysAfter,
  typedTicks,
  type AssignmentId,
  type Day,
  type EntryId,
  type ItemId,
  type SessionId,
  type StudentRecord,
} from '@/core/studio';
import { sayDay, sayIssue, sayRung, sayDate, sayWeekday } from '@/words';
import {
  attempt,
  attemptOrSay,
  Button,
  issuesAt,
  newId,
  toast,
  useSpeech,
  useUndo,
  Link,
} from '../base';

export interface TypedCell {
  readonly assignmentId: AssignmentId;
  readonly itemId: ItemId;
  readonly day: Day;
  readonly text: string;
  readonly ids: readonly EntryId[];
}

/** A paper week typed by keys: a row for each item, a column for each day; c, s and l for every try.
 * Arrows and Enter go from cell to cell, Control and Enter store all of it. */
export function PaperWeek({
  record: { student, items, today },
  store,
  takeBack,
}: {
  record: StudentRecord;
  store: (session: SessionId, cells: readonly TypedCell[]) => Promise<Result<number>>;
  takeBack: (tries: EntryId[]) => Promise<Result<null>>;
}) {
  const { say } = useSpeech();
  const router = useRouter();
  const undoable = useUndo();
  const [last, setLast] = useState(today);
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>({});
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [busy, setBusy] = useState(false);
  const ids = useRef(new Map<string, EntryId[]>());
  const session = useRef(newId<'session'>());
  const table = useRef<HTMLTableElement>(null);
  const days = Array.from({ length: 7 }, (_, index) => daysAfter(last, index - 6));
  const typed = Object.entries(texts).filter(([, text]) => text.trim() !== '');
  const count = typed.reduce((sum, [, text]) => {
    const read = typedTicks(text, '');
    return sum + (read.ok ? read.value.length : 0);
  }, 0);

  /** The same cell keeps the ids of its tries, so that sending again stores nothing twice. */
  function idsOf(key: string, wanted: number): EntryId[] {
    const known = ids.current.get(key) ?? [];
    while (known.length < wanted) known.push(newId<'entry'>());
    ids.current.set(key, known);
    return known.slice(0, wanted);
  }

  async function save() {
    if (busy || typed.length === 0) return;
    const cells = typed.flatMap(([key, text]): TypedCell[] => {
      const [assignmentId, itemId, day] = key.split(' ') as [AssignmentId, ItemId, Day];
      const read = typedTicks(text, day);
      return [
        { assignmentId, itemId, day, text, ids: idsOf(key, read.ok ? read.value.length : 0) },
      ];
    });
    setBusy(true);
    const answer = await attempt(() => store(session.current, cells));
    setBusy(false);
    if (!answer) return void toast.error(say.t('screen.students.notSavedNoConnectionWhatYou'));
    setIssues(answer.ok ? [] : answer.issues);
    if (!answer.ok) return;
    undoable(say.t('screen.students.triesInTheLog', { count: answer.value }), async () => {
      const done = await attemptOrSay(() => takeBack(cells.flatMap((one) => one.ids)));
      if (done) router.refresh();
    });
    router.push(`/students/${student.id}`);
  }

  function onKey(event: KeyboardEvent<HTMLInputElement>, row: number, column: number) {
    if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) return void save();
    const input = event.currentTarget;
    const at = input.selectionStart ?? 0;
    const moves: Readonly<Record<string, readonly [number, number] | null>> = {
      ArrowUp: [-1, 0],
      ArrowDown: [1, 0],
      Enter: [1, 0],
      ArrowLeft: at === 0 ? [0, -1] : null,
      ArrowRight: at === input.value.length ? [0, 1] : null,
    };
    const move = moves[event.key];
    if (!move) return;
    event.preventDefault();
    const over = row + move[0] >= items.length && event.key === 'Enter';
    const next = over ? [0, column + 1] : [row + move[0], column + move[1]];
    table.current?.querySelector<HTMLInputElement>(`[data-cell="${next[0]} ${next[1]}"]`)?.focus();
  }

  return (
    <main className="mx-auto max-w-6xl px-6 py-8">
      <header className="mb-4 flex items-baseline gap-4">
        <h1 className="font-serif text-3xl">
          {say.t('screen.students.aPaperWeek', { student: student.name })}
        </h1>
        <Link className="underline" href={`/students/${student.id}`}>
          {say.t('screen.common.toTheRecord')}
        </Link>
        <span className="ml-auto flex items-center gap-2">
          <Button onClick={() => setLast(daysAfter(last, -7))}>
            {say.t('screen.students.aWeekEarlier')}
          </Button>
          {last < today && (
            <Button onClick={() => setLast(daysAfter(last, 7))}>
              {say.t('screen.students.later')}
            </Button>
          )}
        </span>
      </header>
      {items.length === 0 ? (
        <p className="text-soft">{say.t('screen.students.nothingToPractiseYetGiveA')}</p>
      ) : (
        <table ref={table} className="w-full table-fixed text-left">
          <thead>
            <tr className="border-b border-line">
              <th className="label w-64 py-1 font-normal">{say.t('screen.common.exercise')}</th>
              {days.map((day) => (
                <th key={day} className="px-1 py-1 font-normal">
                  {sayWeekday(say, day)}{' '}
                  <span className="text-sm text-soft">{sayDay(say, day)}</span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {items.map((item, row) => (
              <tr key={`${item.assignmentId} ${item.item.id}`} className="border-b border-line">
                <th className="py-1.5 pr-2 font-normal">
                  <span className="block truncate font-serif text-lg leading-5">
                    {item.item.name}
                  </span>
                  <span className="text-sm text-soft">
                    {say.t('screen.students.now', {
                      rung: sayRung(say, rungAt(item.state.rungs, item.state.rung).asks),
                    })}
                  </span>
                </th>
                {days.map((day, column) => {
                  const key = `${item.assignmentId} ${item.item.id} ${day}`;
                  const known = item.days.find((one) => one.day === day)?.tries ?? 0;
                  return (
                    <td key={day} className="px-1 py-1.5 align-top">
                      <input
                        data-cell={`${row} ${column}`}
                        aria-label={`${item.item.name}, ${sayDate(say, day)}`}
                        aria-invalid={issuesAt(issues, item.item.id, day).length > 0}
                        className="field w-full"
                        autoFocus={row === 0 && column === 0}
                        autoComplete="off"
                        value={texts[key] ?? ''}
                        onChange={(event) => setTexts({ ...texts, [key]: event.target.value })}
                        onKeyDown={(event) => onKey(event, row, column)}
                      />
                      {known > 0 && (
                        <span className="text-xs text-soft">
                          {say.t('screen.students.inTheLog', { known })}
                        </span>
                      )}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {issues.length > 0 && (
        <ul role="alert" className="mt-3 border-l-3 border-warm pl-2 text-sm">
          {issues.map((issue, index) => (
            <li key={index}>{sayIssue(say, issue)}</li>
          ))}
        </ul>
      )}
      {items.length > 0 && (
        <footer className="mt-4 flex items-center gap-4">
          {typed.length > 0 && (
            <Button look="main" onClick={() => void save()}>
              {busy ? say.t('screen.students.storing') : say.t('screen.students.store', { count })}
            </Button>
          )}
          <span className="text-sm text-soft">{say.t('screen.students.cCleanSShakyLLost')}</span>
        </footer>
      )}
    </main>
  );
}
