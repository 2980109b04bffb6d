'use client';

import { clsx } from 'clsx';
import { useMemo, useState } from 'react';
import { countHeld, type CoverOf, type OpenedFamily } from '@/core/family';
import { type Say, sayAxis, sayEach, sayPart } from '@/words';
import { Button, useSpeech } from '../base';
import { Toggle } from '../sentence';
import type { FamilyWork, ShownMember } from './use-family-work';

const OF = {
  pairs: 'screen.variations.everyPair',
  values: 'screen.variations.everyValue',
} as const;

/** Keeps a few members that cover much, and shows what is covered. */
export function CoverPanel({
  opened,
  candidates,
  path,
  kept,
  practised,
  cover,
  onKeep,
  onAll,
}: {
  opened: OpenedFamily;
  /** Members that could be kept. */
  candidates: readonly ShownMember[];
  /** Those that are. */
  path: readonly ShownMember[];
  kept: ReadonlySet<number>;
  practised: ReadonlySet<number>;
  cover: FamilyWork['cover'];
  onKeep: (chosen: readonly number[]) => void;
  onAll: () => void;
}) {
  const { say } = useSpeech();
  const [of, setOf] = useState<CoverOf>('pairs');
  const [count, setCount] = useState('');
  const [busy, setBusy] = useState(false);
  const typed = count.trim() === '' ? null : Number(count);
  const wrong = typed !== null && !(Number.isInteger(typed) && typed >= 1);

  const sizes = useMemo(() => opened.axes.map((axis) => axis.values.length), [opened]);
  const all = useMemo(() => countHeld(candidates, sizes, of), [candidates, sizes, of]);
  const held = useMemo(() => countHeld(path, sizes, of), [path, sizes, of]);

  async function keep() {
    if (wrong || busy) return;
    setBusy(true);
    const indexes = candidates.map((one) => one.index);
    onKeep(await cover(indexes, of, typed));
    setBusy(false);
  }

  return (
    <section aria-label={say.t('screen.variations.cover')} className="flex flex-col gap-2">
      <h2 className="label">{say.t('screen.variations.keepTheBest')}</h2>
      <div className="flex flex-wrap items-center gap-2">
        <input
          aria-label={say.t('screen.variations.howManyAreKept')}
          inputMode="numeric"
          placeholder={say.t('screen.variations.fewest')}
          className="field w-24"
          value={count}
          aria-invalid={wrong}
          onChange={(event) => setCount(event.target.value)}
        />
        <Toggle
          label={say.t('screen.variations.coverOf')}
          bare
          options={sayEach(say, OF)}
          value={of}
          onChoose={setOf}
        />
        <Button onClick={() => void keep()}>{say.t('screen.common.keepCapital')}</Button>
        <Button look="quiet" onClick={onAll}>
          {say.t('screen.variations.keepAll')}
        </Button>
      </div>
      {wrong && (
        <p role="alert" className="border-l-3 border-warm pl-2 text-sm">
          {say.t('screen.variations.cannotBeKeptTypeAWhole', { count })}
        </p>
      )}
      <p role="status" className="text-sm">
        {busy
          ? say.t('screen.variations.lookingForTheFewest')
          : sayHeld(say, of, { count: path.length, held, all })}
      </p>
      <CoverGrid {...{ opened, candidates, kept, practised }} />
    </section>
  );
}

/** @example '10 cover 29 of 39 pairs; 10 are not covered.' */
function sayHeld(
  say: Say,
  of: CoverOf,
  { count, held, all }: { count: number; held: number; all: number },
): string {
  return held === all
    ? say.t('screen.variations.coverAll', { count, all, of })
    : say.t('screen.variations.coverSome', { count, held, all, of, left: all - held });
}

interface CoverCell {
  all: number;
  kept: number;
  practised: number;
}

function cellsOf(
  candidates: readonly ShownMember[],
  kept: ReadonlySet<number>,
  practised: ReadonlySet<number>,
  down: number,
  across: number,
): ReadonlyMap<string, Readonly<CoverCell>> {
  const found = new Map<string, CoverCell>();
  for (const { index, choice } of candidates) {
    const key = `${choice[down]} ${choice[across]}`;
    const cell = found.get(key) ?? { all: 0, kept: 0, practised: 0 };
    cell.all += 1;
    if (kept.has(index)) cell.kept += 1;
    if (practised.has(index)) cell.practised += 1;
    found.set(key, cell);
  }
  return found;
}

/** Axis against axis: how many members of each pair of values are kept, practised, left out. */
function CoverGrid({
  opened,
  candidates,
  kept,
  practised,
}: {
  opened: OpenedFamily;
  candidates: readonly ShownMember[];
  kept: ReadonlySet<number>;
  practised: ReadonlySet<number>;
}) {
  const { say } = useSpeech();
  const axes = opened.axes.flatMap((axis, nth) => (axis.values.length > 1 ? [nth] : []));
  const [chosen, setChosen] = useState<readonly [number, number] | null>(null);
  const [across, down] = chosen ?? [axes[1] ?? axes[0] ?? 0, axes[0] ?? 0];
  const cells = cellsOf(candidates, kept, practised, down, across);
  const [rows, columns] = [opened.axes[down], opened.axes[across]];
  if (axes.length < 1 || !rows || !columns) return null;
  const pick = (label: string, value: number, onPick: (axis: number) => void) => (
    <select
      aria-label={label}
      className="rounded-sm border border-line bg-sheet px-1"
      value={value}
      onChange={(event) => onPick(Number(event.target.value))}
    >
      {axes.map((axis) => (
        <option key={axis} value={axis}>
          {sayAxis(say, opened.axes[axis]?.name ?? rows.name)}
        </option>
      ))}
    </select>
  );
  const shownRows = rows.values.slice(0, MOST_SHOWN);
  const shownColumns = columns.values.slice(0, MOST_SHOWN);
  return (
    <div className="mt-1 flex flex-col gap-1">
      <p className="flex items-center gap-1.5 text-sm text-soft">
        {say.t.rich('screen.variations.rowsByColumns', {
          rows: () =>
            pick(say.t('screen.variations.gridRows'), down, (axis) => setChosen([across, axis])),
          columns: () =>
            pick(say.t('screen.variations.gridColumns'), across, (axis) => setChosen([axis, down])),
        })}
      </p>
      {/* Wider than the panel, it is scrolled by keys, too. */}
      <div
        tabIndex={0}
        role="region"
        aria-label={say.t('screen.variations.coverage')}
        className="max-w-full overflow-x-auto"
      >
        <table
          aria-label={say.t('screen.variations.coverage')}
          className="border-separate border-spacing-0.5 text-xs"
        >
          <thead>
            <tr>
              <td />
              {shownColumns.map((value, nth) => (
                <th
                  key={value.key}
                  scope="col"
                  title={sayPart(say, value.part)}
                  className="font-normal"
                >
                  {nth + 1}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {shownRows.map((value, row) => (
              <tr key={value.key}>
                <th
                  scope="row"
                  className="max-w-32 truncate pr-1 text-left font-normal"
                  title={sayPart(say, value.part)}
                >
                  {sayPart(say, value.part)}
                </th>
                {shownColumns.map((other, column) => {
                  const cell = cells.get(`${row} ${column}`);
                  const says = cell
                    ? say.t('screen.variations.ofKeptPractised', {
                        kept: cell.kept,
                        all: cell.all,
                        practised: cell.practised,
                      })
                    : say.t('screen.common.none');
                  return (
                    <td
                      key={other.key}
                      title={`${sayPart(say, value.part)} · ${sayPart(say, other.part)}: ${says}`}
                      className={clsx(
                        'h-6 min-w-6 rounded-xs text-center',
                        !cell && 'border border-dashed border-line',
                        cell && cell.kept === 0 && 'bg-faint text-soft',
                        cell && cell.kept > 0 && 'bg-ink text-paper',
                        cell && cell.practised > 0 && 'underline decoration-2',
                      )}
                    >
                      {cell ? cell.kept : ''}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {(rows.values.length > MOST_SHOWN || columns.values.length > MOST_SHOWN) && (
        <p className="text-xs text-soft">
          {say.t('screen.variations.theFirstOfEach', { most: MOST_SHOWN })}
        </p>
      )}
    </div>
  );
}

const MOST_SHOWN = 16;
