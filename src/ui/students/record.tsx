'use client';

import { clsx } from 'clsx';
import { useState } from 'react';
import type { Result } from '@/core/issue';
import { FULL_KIT, type KitProfile } from '@/core/kit';
import type { Decision, LoggedTry, Posted, Verdict } from '@/core/log';
import { hearFirst } from '@/core/roster';
import type {
  EntryId,
  ItemId,
  ItemRecord,
  ProgramId,
  ProgramSummary,
  StudentRecord,
} from '@/core/studio';
import { sayVerdict, sayWhy } from '@/words';
import { attemptOrSay, buttonLook, Choice, newId, toast, useSpeech, useUndo, Link } from '../base';
import { SheetButton } from '../sheets';
import { ItemDetail } from './item-detail';
import { KitEditor } from './kit-editor';
import { Notes } from './notes';
import { StudentFiles, type StudentFileActions } from './student-files';
import { Tallies } from './tallies';
import { WeakPlaces } from './weak-places';

export interface RecordActions extends StudentFileActions {
  readonly give: (program: ProgramId) => Promise<Result<unknown>>;
  readonly setKit: (kit: KitProfile) => Promise<Result<null>>;
  /** Puts an entry into the student's log. */
  readonly log: (entry: Posted) => Promise<Result<null>>;
  readonly earlier: (
    item: ItemId,
    before: Pick<LoggedTry, 'day' | 'seq'>,
  ) => Promise<Result<readonly LoggedTry[]>>;
}

/** A student's record, as a lesson needs it: what to hear first and why, what is to be decided, where
 * each ladder stands, what breaks, what was practised. */
export function Record({
  record,
  programs,
  actions,
}: {
  record: StudentRecord;
  programs: readonly ProgramSummary[];
  actions: RecordActions;
}) {
  const { say } = useSpeech();
  const undoable = useUndo();
  const { student, items, needs } = record;
  const [chosen, setChosen] = useState<string | null>(null);
  const ordered = hearFirst(
    items.map((item) => ({ id: item.item.id, lastAt: item.latest.at(-1)?.at ?? -1, item })),
    needs,
  ).map((one) => one.item);
  const shown = ordered.find((one) => ladderKey(one) === chosen) ?? ordered[0];
  const names = new Set(items.map((one) => one.program));
  const free = programs.filter((program) => program.items > 0 && !names.has(program.name));

  async function decide({ assignmentId, item }: ItemRecord, decision: Decision, said: string) {
    const id = newId<'entry'>();
    const place = { assignmentId, itemId: item.id, sessionId: null };
    const entry: Posted = { kind: 'decided', id, agoMs: 0, ...place, body: decision };
    if (!(await attemptOrSay(() => actions.log(entry)))) return;
    undoable(said, () => takeBack(id));
  }

  async function takeBack(about: EntryId) {
    const id = newId<'entry'>();
    const entry: Posted = { kind: 'taken-back', id, agoMs: 0, about, body: {} };
    return (await attemptOrSay(() => actions.log(entry))) && id;
  }

  async function writeCue({ assignmentId, item, cue }: ItemRecord, text: string) {
    const write = (to: string) => {
      const place = { assignmentId, itemId: item.id, sessionId: null };
      const id = newId<'entry'>();
      return attemptOrSay(() =>
        actions.log({ kind: 'cue', id, agoMs: 0, ...place, body: { text: to } }),
      );
    };
    if (!(await write(text))) return false;
    undoable(say.t('screen.students.cueKept'), () => write(cue));
    return true;
  }

  async function judge(about: EntryId, verdict: Verdict) {
    const put = (to: Verdict | null) => {
      const id = newId<'entry'>();
      return attemptOrSay(() =>
        actions.log({ kind: 'judged', id, agoMs: 0, about, body: { verdict: to } }),
      );
    };
    if (await put(verdict)) undoable(sayVerdict(say, verdict), () => put(null));
  }

  return (
    <main className="in-hand mx-auto max-w-[86rem] px-4 py-4 sm:px-6 sm:py-6">
      <header className="mb-5 flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1 className="font-serif text-3xl">{student.name}</h1>
        <p className="min-w-40 flex-1 truncate text-soft">{student.about}</p>
        {items.length > 0 && (
          <Link href={`/students/${student.id}/paper`} className={buttonLook()}>
            {say.t('screen.students.enterAPaperWeek')}
          </Link>
        )}
        {items.length > 0 && (
          <SheetButton
            name={student.name}
            whatOf={() => ({ kind: 'week', student: student.id, program: null })}
          >
            {say.t('screen.common.weekOnPaper')}
          </SheetButton>
        )}
        <StudentFiles student={student} actions={actions} hasLog={items.length > 0} />
        <Link href={`/students/${student.id}/plan`} className={buttonLook()}>
          {say.t('screen.common.plan')}
        </Link>
        <Link href={`/students/${student.id}/access`} className={buttonLook()}>
          {say.t('screen.students.waysIn')}
        </Link>
        <KitEditor name={student.name} kit={student.kit ?? FULL_KIT} onSet={actions.setKit} />
        {free.length > 0 && (
          <Choice
            label={say.t('screen.students.programToGive')}
            options={free.map((program) => ({ value: program.id, text: program.name }))}
            className="inline-flex h-8 items-center rounded-sm border border-line bg-sheet px-3 hover:border-soft"
            onChoose={async (id) => {
              const given = await attemptOrSay(() => actions.give(id));
              const name = free.find((program) => program.id === id)?.name ?? '';
              if (given)
                toast.success(
                  say.t('screen.common.hasNow', { student: student.name, program: name }),
                );
            }}
          >
            {say.t('screen.students.giveAProgram')}
          </Choice>
        )}
      </header>
      {items.length === 0 || !shown ? (
        <p className="text-soft">
          {say.t.rich(
            programs.length === 0
              ? 'screen.students.makeAProgramFirst'
              : 'screen.students.nothingYetGiveAProgram',
            {
              link: (text) => (
                <Link href="/programs" className="underline">
                  {text}
                </Link>
              ),
            },
          )}
        </p>
      ) : (
        <div className="grid gap-8 md:grid-cols-[15rem_minmax(0,1fr)] xl:grid-cols-[18rem_minmax(0,1fr)_19rem]">
          <section aria-labelledby="hear-title">
            <h2 id="hear-title" className="label mb-1">
              {say.t('screen.students.hearFirst')}
            </h2>
            <Ladders record={record} ordered={ordered} shown={shown} onChoose={setChosen} />
          </section>
          <ItemDetail
            key={ladderKey(shown)}
            record={shown}
            onDecide={(decision, said) => void decide(shown, decision, said)}
            onTakeBack={(id) => void takeBack(id)}
            stand={`/lesson/${student.id}?item=${shown.item.id}`}
            onCue={(text) => writeCue(shown, text)}
            onJudge={(id, verdict) => void judge(id, verdict)}
            earlier={(before) => actions.earlier(shown.item.id, before)}
          />
          <div className="flex flex-col gap-6">
            <Notes notes={record.notes} log={actions.log} takeBack={takeBack} />
            <WeakPlaces
              weak={record.weak}
              onItem={(id) => {
                const item = items.find((one) => one.item.id === id);
                if (item) setChosen(ladderKey(item));
              }}
            />
            <Tallies record={record} />
          </div>
        </div>
      )}
    </main>
  );
}

function ladderKey(item: ItemRecord): string {
  return `${item.assignmentId} ${item.item.id}`;
}

function Ladders({
  record: { needs },
  ordered,
  shown,
  onChoose,
}: {
  record: StudentRecord;
  ordered: readonly ItemRecord[];
  shown: ItemRecord;
  onChoose: (key: string) => void;
}) {
  const { say } = useSpeech();
  return (
    <ul aria-label={say.t('screen.common.ladders')} className="border-t border-line">
      {ordered.map((item) => {
        const needed = needs.some((need) => need.item === item.item.id);
        return (
          <li key={ladderKey(item)} className="border-b border-line">
            <button
              type="button"
              aria-pressed={item === shown}
              onClick={() => onChoose(ladderKey(item))}
              className={clsx(
                'grid w-full grid-cols-[1fr_auto] gap-x-3 border-l-3 px-2 py-2 text-left',
                needed ? 'border-l-warm' : 'border-l-transparent',
                item === shown ? 'bg-sheet' : 'hover:bg-sheet',
              )}
            >
              <span className="font-serif leading-5">{item.item.name}</span>
              <span className="font-serif text-2xl leading-6">{item.state.bpm}</span>
              <span className="text-sm text-soft">{sayWhy(say, item.why)}</span>
              <span className="text-right text-sm text-soft">
                {item.state.rung + 1} / {item.state.rungs.length}
              </span>
            </button>
          </li>
        );
      })}
    </ul>
  );
}
