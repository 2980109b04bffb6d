'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { toast } from 'sonner';
import {
  memberAt,
  nameMember,
  openFamily,
  sayMember,
  sayStep,
  type Family,
  type OpenedFamily,
} from '@/core/family';
import { issueText, type Issue } from '@/core/issue';
import type { Material } from '@/core/materials';
import { scoreOf } from '@/core/playing';
import { blankRecipe, writeLink } from '@/core/recipe';
import type { FamilyName, ProgramSummary } from '@/core/studio';
import { bpm, parseMeter, tempoFor, type Bpm } from '@/core/time';
import { Button, Trouble, useSpeech } from '../base';
import { ShelfProvider } from '../bench';
import { usePlayback } from '../play';
import { CannotBePlayed, LeftOut, SameAsOthers } from './apart-list';
import { CoverPanel } from './cover-panel';
import { FamilyHeader } from './family-header';
import { FamilySentence } from './family-sentence';
import { MemberPanel } from './member-panel';
import { PathList, type PathCommand } from './path-list';
import type { RowShown } from './path-row';
import { RunBar } from './run-bar';
import { useFamily, type FamilyDraft } from './use-family';
import { useFamilyWork, type FamilyWork } from './use-family-work';
import { useMembers, useStanding, type Members, type Standing } from './use-members';
import { usePath } from './use-path';
import type { VariationActions } from './variation-actions';

/** Most members whose decisions are kept one by one. */
const MOST_DECIDED = 2000;

type View = 'path' | 'out' | 'impossible' | 'same';

/** A family of variations: the sentence with several values for its phrases, and what comes of it as
 * a path to keep, drop, reorder, hear and send to a program. */
export function Variations({
  own,
  ...props
}: Parameters<typeof FamilyDesk>[0] & { own: readonly Material[] }) {
  return (
    <ShelfProvider
      own={own}
      students={[]}
      exercises={[]}
      load={() => Promise.resolve(null)}
      findSame={() => Promise.resolve([])}
      saveRules={() => Promise.reject(new Error('no rules are kept here'))}
    >
      <FamilyDesk {...props} />
    </ShelfProvider>
  );
}

function FamilyDesk({
  draft: first,
  saved,
  families,
  programs,
  practised,
  issues: openingIssues,
  actions,
}: {
  draft: FamilyDraft;
  saved: FamilyDraft | null;
  families: readonly FamilyName[];
  programs: readonly ProgramSummary[];
  /** What was practised, by recipe hash. */
  practised: readonly string[];
  issues: readonly Issue[];
  actions: VariationActions;
}) {
  const { history, edit, dispatch } = useFamily(first, saved);
  const { family } = history.draft;
  const { base, axes } = family;
  const [tempo, setTempo] = useState<Bpm>(bpm(80));
  const [view, setView] = useState<View>('path');
  const made = useMemo(() => openFamily({ base, axes }), [base, axes]);
  const opened = made.ok ? made.value : null;
  const work = useFamilyWork(made.ok ? family : NOTHING_TO_DO, tempo);
  const members = useMembers(opened, practised);
  const standing = useStanding(work, family, members);
  const path = usePath(work, standing, family, members);

  const anywhere = { enableOnFormTags: true, preventDefault: true } as const;
  useHotkeys('mod+z', () => dispatch({ kind: 'undo' }), anywhere);
  useHotkeys('mod+shift+z, mod+y', () => dispatch({ kind: 'redo' }), anywhere);

  const nothing = base.over.length === 0 && base.play === null && axes.length === 0;
  const shownViews: readonly (readonly [View, string, number])[] = [
    ['path', 'path', standing.path.length],
    ['out', 'left out', standing.out.length],
    ['impossible', 'cannot be played', work.impossible.length],
    ['same', 'same as another', standing.same.length],
  ];
  const shown = shownViews.some(([id, , count]) => id === view && count > 0) ? view : 'path';

  return (
    <main className="flex h-full min-h-0 flex-col">
      <h1 className="sr-only">{history.draft.name || 'Variations'}</h1>
      <FamilyHeader {...{ history, dispatch, families, actions, nothing }} />
      <Trouble issues={openingIssues} />
      <FamilySentence
        family={family}
        onChange={(next) => edit({ base: next.base, axes: next.axes })}
      />
      {!made.ok && (
        <div className="px-4">
          <Trouble issues={made.issues} />
        </div>
      )}
      {nothing && made.ok && (
        <p className="px-4 py-6 text-soft">
          Choose what keeps going or a line, then give a phrase several values.
        </p>
      )}
      {opened && !nothing && (
        <>
          <div className="flex items-center gap-1 border-y border-line px-3 py-1">
            {shownViews.map(
              ([id, name, count]) =>
                (count > 0 || id === 'path') && (
                  <Button
                    key={id}
                    look="quiet"
                    aria-pressed={shown === id}
                    onClick={() => setView(id)}
                  >
                    {name} {count.toLocaleString('en')}
                  </Button>
                ),
            )}
            <Button
              look="quiet"
              className="ml-auto"
              aria-pressed={family.fold}
              onClick={() => edit({ fold: !family.fold })}
            >
              fold what sounds the same
            </Button>
            {family.order !== null && (
              <Button look="quiet" onClick={() => edit({ order: null })}>
                order anew
              </Button>
            )}
            <Progress work={work} waiting={path.waiting} />
          </div>
          <Desk
            {...{ opened, work, members, standing, family, tempo, edit, programs, actions }}
            view={shown}
            order={path.order}
            name={history.draft.name}
            onTempo={setTempo}
          />
        </>
      )}
    </main>
  );
}

/** A family that is too large is not begun. */
const NOTHING_TO_DO: Pick<Family, 'base' | 'axes'> = {
  base: blankRecipe(),
  axes: [{ at: 'feel', values: [] }],
};

function Progress({ work, waiting }: { work: FamilyWork; waiting: boolean }) {
  const { state, done, size } = work;
  if (state === 'died') {
    return (
      <span role="alert" className="text-sm">
        The work on this broke off; nothing is lost.{' '}
        <Button look="quiet" onClick={work.again}>
          try again
        </Button>
      </span>
    );
  }
  if (state === 'stopped') {
    return (
      <span role="status" className="text-sm text-soft">
        stopped at {done.toLocaleString('en')} of {size.toLocaleString('en')}{' '}
        <Button look="quiet" onClick={work.again}>
          go on
        </Button>
      </span>
    );
  }
  if (state === 'working' && size > 0) {
    return (
      <span role="status" className="flex items-center gap-2 text-sm text-soft">
        <progress aria-label="Variations made" value={done} max={size} className="w-28" />
        <Button look="quiet" onClick={work.stop}>
          stop
        </Button>
      </span>
    );
  }
  return (
    <span role="status" className="text-sm text-soft">
      {waiting ? 'putting in order…' : ''}
    </span>
  );
}

/** The list, what stands beside it, and what is done with the members. */
function Desk({
  opened,
  work,
  members,
  standing,
  family,
  tempo,
  edit,
  view,
  order,
  name,
  programs,
  actions,
  onTempo,
}: {
  opened: OpenedFamily;
  work: FamilyWork;
  members: Members;
  standing: Standing;
  family: Family;
  tempo: Bpm;
  edit: (change: Partial<Family>) => void;
  view: View;
  order: readonly number[];
  name: string;
  programs: readonly ProgramSummary[];
  actions: VariationActions;
  onTempo: (tempo: Bpm) => void;
}) {
  const router = useRouter();
  const playback = usePlayback();
  const { words } = useSpeech();
  const [picked, setPicked] = useState<number | null>(null);
  const [compared, setCompared] = useState<number | null>(null);
  const { keyOf, recipeOf, exerciseOf } = members;
  const chosen = picked !== null && order.includes(picked) ? picked : (order[0] ?? null);
  const byIndex = useMemo(
    () => new Map(standing.path.map((one) => [one.index, one])),
    [standing.path],
  );
  const kept = useMemo(() => new Set(standing.path.map((one) => one.index)), [standing.path]);
  const stopAt = family.stop === null ? -1 : order.findIndex((one) => keyOf(one) === family.stop);
  const sent = stopAt < 0 ? order : order.slice(0, stopAt + 1);
  const practised = useMemo(
    () =>
      new Set(
        standing.candidates
          .slice(0, MOST_DECIDED)
          .map((one) => one.index)
          .filter(members.practised),
      ),
    [standing.candidates, members],
  );

  const hear = useCallback(
    (index: number) => {
      if (playback.playing) return playback.stop();
      const exercise = exerciseOf(index);
      if (exercise) void playback.start(scoreOf(exercise), tempoFor(exercise.meter, tempo));
    },
    [playback, exerciseOf, tempo],
  );

  function reorder(next: readonly number[]) {
    if (next.length > MOST_DECIDED) {
      toast.error(`An order of one’s own holds ${MOST_DECIDED} at most. Keep fewer first.`);
      return;
    }
    edit({ order: next.map(keyOf) });
  }

  function put(index: number, to: number) {
    const from = order.indexOf(index);
    const next = order.filter((one) => one !== index);
    next.splice(Math.max(0, Math.min(next.length, to)), 0, index);
    if (from >= 0 && next[from] !== index) reorder(next);
  }

  function drop(index: number) {
    const place = order.indexOf(index);
    const key = keyOf(index);
    setPicked(order[place + 1] ?? order[place - 1] ?? null);
    edit(
      family.kept
        ? { kept: family.kept.filter((one) => one !== key) }
        : { dropped: [...family.dropped, key] },
    );
    toast(`Dropped ${sayMember(opened, memberAt(opened, index))}.`, {
      action: { label: 'Undo', onClick: () => keep(index) },
    });
  }

  function keep(index: number) {
    const key = keyOf(index);
    edit({
      dropped: family.dropped.filter((one) => one !== key),
      kept: family.kept && !family.kept.includes(key) ? [...family.kept, key] : family.kept,
    });
  }

  function onCommand(index: number, command: PathCommand) {
    const place = order.indexOf(index);
    const key = keyOf(index);
    switch (command.kind) {
      case 'hear':
        return hear(index);
      case 'open':
        return router.push(`/bench?r=${writeLink(recipeOf(index))}`);
      case 'drop':
        return drop(index);
      case 'compare':
        return setCompared(compared === index ? null : index);
      case 'first':
        if (family.order) put(index, 0);
        return edit({ first: family.first === key ? null : key });
      case 'last':
        if (family.order) put(index, order.length - 1);
        return edit({ last: family.last === key ? null : key });
      case 'stop':
        return edit({ stop: family.stop === key ? null : key });
      case 'move':
        return put(index, place + command.by);
      case 'put':
        return put(index, order.indexOf(command.onto));
    }
  }

  const rowOf = (place: number): RowShown => {
    const index = order[place] ?? 0;
    const above = order[place - 1];
    const facts = byIndex.get(index);
    const member = memberAt(opened, index);
    const key = keyOf(index);
    return {
      index,
      number: place + 1,
      exercise: exerciseOf(index),
      before: above === undefined ? null : exerciseOf(above),
      says:
        above === undefined
          ? [sayMember(opened, member)]
          : sayStep(opened, memberAt(opened, above), member),
      points: facts?.points ?? 0,
      warnings: facts?.warnings ?? 0,
      bars: facts?.bars ?? 1,
      pinned: family.first === key ? 'first' : family.last === key ? 'last' : null,
      beyond: stopAt >= 0 && place > stopAt,
      stops: place === stopAt,
      practised: members.practised(index),
    };
  };

  const nameOf = (index: number, nth: number) =>
    nameMember(opened, memberAt(opened, index), nth + 1, family.naming);
  const meter = parseMeter(family.base.meter);
  return (
    <>
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_28rem]">
        <div className="flex min-h-0 min-w-0 flex-col">
          {view === 'path' && (
            <PathList
              count={order.length}
              order={order}
              rowOf={rowOf}
              rows={standing.rows}
              hardest={standing.hardest}
              lanesBars={Math.min(2, standing.longest)}
              chosen={chosen}
              compared={compared}
              onChoose={setPicked}
              onCommand={onCommand}
            />
          )}
          {view === 'out' && <LeftOut opened={opened} out={standing.out} onKeep={keep} />}
          {view === 'impossible' && (
            <CannotBePlayed opened={opened} played={work.played} impossible={work.impossible} />
          )}
          {view === 'same' && <SameAsOthers opened={opened} same={standing.same} />}
          {view === 'path' && order.length === 0 && work.state === 'done' && (
            <p className="p-4 text-soft">
              {standing.out.length > 0
                ? 'All are left out. Take some back.'
                : issueText({ code: 'family-empty', path: [], axis: null })}
            </p>
          )}
        </div>
        <aside className="flex min-w-0 flex-col gap-4 overflow-y-auto border-l border-line p-3">
          {chosen !== null && meter.ok && (
            <MemberPanel
              {...{ opened, members, compared, playback }}
              index={chosen}
              number={order.indexOf(chosen) + 1}
              tempo={tempoFor(meter.value, tempo)}
              onHear={hear}
              onDrop={() => drop(chosen)}
              onCompare={setCompared}
            />
          )}
          {work.state === 'done' && opened.size > 1 && (
            <CoverPanel
              {...{ opened, kept, practised }}
              candidates={standing.candidates}
              cover={work.cover}
              onKeep={(indexes) =>
                indexes.length > MOST_DECIDED
                  ? toast.error(`${MOST_DECIDED} are kept at most. Type a number.`)
                  : edit({ kept: indexes.map(keyOf), dropped: [] })
              }
              onAll={() => edit({ kept: null, dropped: [] })}
            />
          )}
        </aside>
      </div>
      <RunBar
        {...{ tempo, playback, programs, onTempo, recipeOf }}
        send={actions.send}
        order={sent}
        from={chosen}
        nameOf={nameOf}
        runName={name.trim() || 'Variations as a run'}
      >
        <label className="flex items-baseline gap-1.5">
          <span className="label">names</span>
          <input
            aria-label="Names"
            className="field w-36"
            placeholder="{n} {all}"
            title="{n} is the number, {1} the first phrase’s value, {all} all of them"
            maxLength={80}
            value={family.naming}
            onChange={(event) => edit({ naming: event.target.value })}
          />
          {sent[0] !== undefined && (
            <span className="max-w-40 truncate text-sm text-soft" data-testid="first-name">
              {words(nameOf(sent[0], 0))}
            </span>
          )}
        </label>
      </RunBar>
    </>
  );
}
