'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { piecesOf, programNow, type Piece } from '@/core/format';
import type { Issue, Result } from '@/core/issue';
import { itemsOf } from '@/core/program';
import type { Program, ProgramId } from '@/core/studio';
import { saySentence, type Say } from '@/words';
import {
  attempt,
  attemptOrSay,
  Button,
  toast,
  toastIssues,
  Trouble,
  useSpeech,
  useUndo,
} from '../base';
import { FilesPop } from '../play';
import { SheetButton } from '../sheets';
import { glanceAt } from './glance';
import { SharePop, type SharedAt } from './share-pop';
import type { ProgramDesk } from './use-program';

/** What can be done with a program as a whole. */
export interface HeadActions {
  readonly rename: (id: ProgramId, name: string) => Promise<Result<null>>;
  readonly archive: (id: ProgramId, archived: boolean) => Promise<Result<null>>;
  readonly template: (id: ProgramId, template: boolean) => Promise<Result<null>>;
  readonly share: (id: ProgramId, shared: boolean) => Promise<Result<SharedAt | null>>;
}

const STATUS = {
  refused: 'screen.programs.notSaved',
  saving: 'screen.common.saving',
  saved: 'screen.common.saved',
  unreached: 'screen.common.notSavedNoConnection',
} as const;

/** The program's name, how it stands, and what can be done with it as a whole. */
export function ProgramHead({
  desk,
  shared,
  actions,
}: {
  desk: ProgramDesk;
  shared: SharedAt | null;
  actions: HeadActions;
}) {
  const { say } = useSpeech();
  const undoable = useUndo();
  const router = useRouter();
  const { program, outline } = desk;
  const minutes = itemsOf(outline).reduce((sum, item) => {
    return sum + (glanceAt(program.recipes[item.id], item.course)?.minutes ?? 0);
  }, 0);

  async function archive() {
    const done = await attemptOrSay(() => actions.archive(program.id, true));
    if (!done) return;
    router.push('/programs');
    undoable(say.t('screen.programs.archived', { program: program.name }), () =>
      attemptOrSay(() => actions.archive(program.id, false)),
    );
  }

  async function mark() {
    const { template } = program;
    const done = await attemptOrSay(() => actions.template(program.id, !template));
    if (done) desk.setProgram({ ...program, template: !template });
  }

  /** What cannot be played is said. */
  function pieces(): readonly Piece[] | null {
    const made = piecesOf(outline, program.recipes, (recipe) => saySentence(say, recipe));
    if (made.ok) return made.value;
    toastIssues(made.issues);
    return null;
  }

  return (
    <header className="col-span-2 mb-4">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <Name key={program.name} program={program} rename={actions.rename} />
        <span role="status" className="text-sm text-soft">
          {desk.status !== 'fresh' && say.t(STATUS[desk.status])}{' '}
          {desk.status === 'unreached' && (
            <Button onClick={desk.retry}>{say.t('screen.programs.retry')}</Button>
          )}
        </span>
        {desk.undo && (
          <Button look="quiet" onClick={desk.undo}>
            {say.t('screen.common.undo')}
          </Button>
        )}
        {desk.redo && (
          <Button look="quiet" onClick={desk.redo}>
            {say.t('screen.common.redo')}
          </Button>
        )}
        <SheetButton
          look="quiet"
          name={program.name}
          whatOf={() => ({ kind: 'program', program: program.id })}
        />
        <FilesPop
          name={program.name}
          piecesOf={pieces}
          bundled={() => ({ programs: [programNow({ ...program, outline })] })}
        />
        {program.given.length > 0 && (
          <SheetButton
            look="quiet"
            name={program.name}
            whatOf={() => ({ kind: 'class', program: program.id })}
          >
            {say.t('screen.programs.weekForEach', { count: program.given.length })}
          </SheetButton>
        )}
        <Button look="quiet" aria-pressed={program.template} onClick={() => void mark()}>
          {program.template
            ? say.t('screen.programs.template')
            : say.t('screen.programs.makeATemplate')}
        </Button>
        <SharePop program={program.id} shared={shared} share={actions.share} />
        <Button look="quiet" onClick={() => void archive()}>
          {say.t('screen.common.archive')}
        </Button>
      </div>
      {minutes > 0 && (
        <p className="text-sm text-soft">
          {say.t('screen.programs.atLeastToAllTargets', { hours: sayHours(say, minutes) })}
        </p>
      )}
    </header>
  );
}

/** @example sayHours(ENGLISH, 135) // => '2 h 15 min' */
function sayHours(say: Say, minutes: number): string {
  const whole = Math.ceil(minutes);
  return whole < 60
    ? say.t('screen.common.minutesShort', { minutes: whole })
    : say.t('screen.programs.hMin', { hours: Math.floor(whole / 60), minutes: whole % 60 });
}

/** A section's name, edited in place; an only section without a name shows none. */
function Name({ program, rename }: { program: Program; rename: HeadActions['rename'] }) {
  const { say } = useSpeech();
  const [name, setName] = useState(program.name);
  const [issues, setIssues] = useState<readonly Issue[]>([]);

  async function store() {
    if (name === program.name) return setIssues([]);
    const answer = await attempt(() => rename(program.id, name));
    if (answer) setIssues(answer.ok ? [] : answer.issues);
    else toast.error(say.t('screen.programs.notRenamedNoConnectionTheName'));
  }

  return (
    <div className="min-w-0 flex-1">
      <h1 className="sr-only">{program.name}</h1>
      <input
        aria-label={say.t('screen.programs.programName')}
        className="title-field w-full font-serif text-3xl"
        value={name}
        maxLength={80}
        aria-invalid={issues.length > 0}
        onChange={(event) => setName(event.target.value)}
        onBlur={() => void store()}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
      <Trouble issues={issues} />
    </div>
  );
}
