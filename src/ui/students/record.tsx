'use client';

import { clsx } from 'clsx';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useState } from 'react';
import { toast } from 'sonner';
import { sayCount, type Result } from '@/core/issue';
import { FULL_KIT, type KitProfile } from '@/core/kit';
import { sayDosage, sufferingName } from '@/core/ladder';
import { sentenceText } from '@/core/recipe';
import {
  sayDay,
  type AssignmentId,
  type ItemRecord,
  type LoggedTry,
  type ProgramId,
  type ProgramSummary,
  type StudentRecord,
} from '@/core/studio';
import { attemptOrSay, Button, Choice, Words } from '../base';
import { VerdictSign } from '../marks';
import { KitEditor } from './kit-editor';

const TempoChart = dynamic(() => import('./tempo-chart'), {
  ssr: false,
  loading: () => <div className="h-64 text-soft">Drawing…</div>,
});

/** A student's record: where each ladder stands and why, tempo over time, the log. */
export function Record({
  record,
  programs,
  give,
  setKit,
}: {
  record: StudentRecord;
  programs: readonly ProgramSummary[];
  give: (program: ProgramId) => Promise<Result<AssignmentId>>;
  setKit: (kit: KitProfile) => Promise<Result<null>>;
}) {
  const { student, items } = record;
  const [chosen, setChosen] = useState<string | null>(null);
  const latest = [...items].sort((a, b) => lastAt(b) - lastAt(a))[0];
  const shown = items.find((one) => keyOf(one) === chosen) ?? latest;
  const names = new Set(items.map((one) => one.program));
  const free = programs.filter((program) => program.items > 0 && !names.has(program.name));
  return (
    <main className="mx-auto max-w-6xl px-6 py-8">
      <header className="mb-6 flex items-baseline gap-4">
        <h1 className="font-serif text-3xl">{student.name}</h1>
        <p className="flex-1 text-soft">{student.about}</p>
        <KitEditor name={student.name} kit={student.kit ?? FULL_KIT} onSet={setKit} />
        {free.length > 0 && (
          <Choice
            label="Program to give"
            options={free.map((program) => ({ value: program.id, text: program.name }))}
            className="inline-flex h-8 items-center rounded-sm border border-line bg-sheet px-3 hover:border-soft"
            onChoose={async (id) => {
              const given = await attemptOrSay(() => give(id));
              const name = free.find((program) => program.id === id)?.name;
              if (given) toast.success(`${student.name} has ${name} now.`);
            }}
          >
            give a program…
          </Choice>
        )}
      </header>
      {items.length === 0 || !shown ? (
        <p className="text-soft">
          Nothing to practise yet.{' '}
          {programs.length === 0 ? (
            <Link href="/programs" className="underline">
              Make a program first
            </Link>
          ) : (
            'Give a program.'
          )}
        </p>
      ) : (
        <div className="grid grid-cols-[22rem_minmax(0,1fr)] gap-10">
          <Ladders items={items} shown={shown} onChoose={setChosen} />
          <Item record={shown} />
        </div>
      )}
    </main>
  );
}

function keyOf(item: ItemRecord): string {
  return `${item.assignmentId} ${item.item.id}`;
}

function lastAt(item: ItemRecord): number {
  return item.tries.at(-1)?.at ?? 0;
}

function Ladders({
  items,
  shown,
  onChoose,
}: {
  items: readonly ItemRecord[];
  shown: ItemRecord;
  onChoose: (key: string) => void;
}) {
  return (
    <ul aria-label="Ladders" className="border-t border-line">
      {items.map((item) => (
        <li key={keyOf(item)} className="border-b border-line">
          <button
            type="button"
            aria-pressed={item === shown}
            onClick={() => onChoose(keyOf(item))}
            className={clsx(
              'grid w-full grid-cols-[1fr_auto] gap-x-3 px-2 py-2 text-left',
              item === shown ? 'bg-sheet' : 'hover:bg-sheet',
            )}
          >
            <span className="font-serif leading-6">{item.item.exercise.name}</span>
            <span className="font-serif text-2xl leading-6">{item.state.bpm}</span>
            <span className="text-sm text-soft">{item.reason}</span>
            <span className="text-right text-sm text-soft">
              {item.state.rung + 1} / {item.state.rungs.length}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}

function Item({ record }: { record: ItemRecord }) {
  const { item, state, tries } = record;
  const { ladder, dosage, rule } = item.course;
  return (
    <section aria-labelledby="item-title">
      <h2 id="item-title" className="font-serif text-xl">
        <Link href={`/bench?x=${item.exercise.id}&t=${state.bpm}`} className="hover:underline">
          {item.exercise.name}
        </Link>
      </h2>
      <p className="text-sm text-soft">
        <Words text={sentenceText(item.exercise.recipe)} />
      </p>
      <p className="mt-2">
        Next: <b>{state.bpm}</b>, {sayDosage(dosage)}. {record.reason}
      </p>
      <p className="text-sm text-soft">
        {record.program} · {ladder.start} → {ladder.target} by {ladder.step} · {rule.clean} clean
        up, {rule.lost} lost down
      </p>
      {tries.length === 0 ? (
        <p className="mt-6 text-soft">Not played yet.</p>
      ) : (
        <>
          <div className="mt-3">
            <TempoChart key={keyOf(record)} record={record} />
          </div>
          <Log key={`log ${keyOf(record)}`} tries={tries} />
        </>
      )}
    </section>
  );
}

/** Rows of the log that are shown at first. */
const FIRST_ROWS = 20;

function Log({ tries }: { tries: readonly LoggedTry[] }) {
  const [all, setAll] = useState(false);
  const newest = [...tries].reverse();
  const rows = all ? newest : newest.slice(0, FIRST_ROWS);
  return (
    <>
      <table className="mt-4 w-full text-left" aria-label="Log">
        <thead>
          <tr className="label border-b border-line">
            <th className="w-20 py-1 font-normal">day</th>
            <th className="w-16 font-normal">tempo</th>
            <th className="w-24 font-normal">verdict</th>
            <th className="w-24 font-normal">played</th>
            <th className="font-normal">what suffered</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((one, index) => (
            <tr key={one.id} className="border-b border-faint">
              <td className="py-0.5">{rows[index - 1]?.day === one.day ? '' : sayDay(one.day)}</td>
              <td>{one.bpm}</td>
              <td>
                <VerdictSign verdict={one.verdict} /> {one.verdict}
              </td>
              <td className="text-soft">{sayCount(one.bars, 'bar')}</td>
              <td>
                {one.suffered
                  .map(({ what, limb }) => sufferingName(what) + (limb ? ` (${limb})` : ''))
                  .join(', ')}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {!all && tries.length > FIRST_ROWS && (
        <Button look="quiet" className="mt-2" onClick={() => setAll(true)}>
          all {tries.length} tries
        </Button>
      )}
    </>
  );
}
