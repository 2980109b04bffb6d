'use client';

import { useMemo, useState } from 'react';
import { memberAt, MOST_DECIDED, type Family, type OpenedFamily } from '@/core/family';
import type { ProgramSummary } from '@/core/studio';
import type { Bpm } from '@/core/time';
import { nameMember, sayIssue, sayMember, sayMemberStep } from '@/words';
import { useSpeech, loadLate } from '../base';
import { useHear } from '../play';
import { onBench, useGoWith } from '../shell/recipe-link';
import { CannotBePlayed, LeftOut, SameAsOthers } from './apart-list';
import { MemberPanel } from './member-panel';
import { PathList, type PathCommand } from './path-list';
import type { RowShown } from './path-row';
import { RunBar } from './run-bar';
import { ManyPanel } from './many-panel';
import { moveRows, putRows } from './selection';
import { useDecisions } from './use-decisions';
import type { EditFamily } from './use-family';
import type { FamilyWork } from './use-family-work';
import type { Members, Standing } from './use-members';
import { useSelection } from './use-selection';
import type { VariationActions } from './variation-actions';

// It waits for what the worker counts in any case.
const CoverPanel = loadLate(() => import('./cover-panel').then((room) => room.CoverPanel));

/** Which members are listed. */
export type View = 'path' | 'out' | 'impossible' | 'same';

/** The list, what stands beside it, and what is done with the members. */
export function PathDesk({
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
  edit: EditFamily;
  view: View;
  order: readonly number[];
  name: string;
  programs: readonly ProgramSummary[];
  actions: VariationActions;
  onTempo: (tempo: Bpm) => void;
}) {
  const go = useGoWith();
  const { playback, heard, hear } = useHear<number | 'run'>(tempo);
  const { say } = useSpeech();
  const { active: chosen, rows: chosenRows, choose } = useSelection(order);
  const [compared, setCompared] = useState<number | null>(null);
  const { keyOf, recipeOf, exerciseOf } = members;
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

  const { drop, keep, arrange, pin, stopHere, keepOnly, keepAll } = useDecisions({
    opened,
    keyOf,
    order,
    family,
    edit,
  });

  function hearMember(index: number) {
    const exercise = exerciseOf(index);
    if (exercise) hear(index, exercise);
  }

  function leave(rows: readonly number[]) {
    const places = rows.map((index) => order.indexOf(index));
    const next = order[Math.max(...places) + 1] ?? order[Math.min(...places) - 1];
    if (next !== undefined) choose(next);
    drop(rows);
  }

  function onCommand(rows: readonly number[], command: PathCommand) {
    const index = chosen !== null && rows.includes(chosen) ? chosen : rows[0];
    if (index === undefined) return;
    switch (command.kind) {
      case 'hear':
        return hearMember(index);
      case 'open':
        return go(recipeOf(index), onBench);
      case 'drop':
        return leave(rows);
      case 'compare':
        return setCompared(compared === index ? null : index);
      case 'first':
      case 'last':
        return pin(rows, command.kind);
      case 'stop':
        return stopHere(index);
      case 'move':
        return arrange(moveRows(order, rows, command.by));
      case 'put':
        return arrange(putRows(order, rows, command.onto));
    }
  }

  const pinOf = (key: string) =>
    family.first.includes(key) ? 'first' : family.last.includes(key) ? 'last' : null;

  const places = useMemo(() => new Map(order.map((index, place) => [index, place + 1])), [order]);

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
          ? [sayMember(say, opened, member)]
          : sayMemberStep(say, opened, memberAt(opened, above), member),
      points: facts?.points ?? 0,
      warnings: facts?.warnings ?? 0,
      bars: facts?.bars ?? 1,
      pinned: pinOf(key),
      beyond: stopAt >= 0 && place > stopAt,
      stops: place === stopAt,
      practised: members.practised(index),
      like: facts && facts.sameAs !== index ? (places.get(facts.sameAs) ?? null) : null,
      likeLater: facts?.sameLimbs ?? true,
    };
  };

  const nameOf = (index: number, nth: number) =>
    nameMember(say, opened, memberAt(opened, index), nth + 1, family.naming);
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
              active={chosen}
              chosen={chosenRows}
              compared={compared}
              onChoose={choose}
              onCommand={onCommand}
            />
          )}
          {view === 'out' && (
            <LeftOut opened={opened} out={standing.out} onKeep={(index) => keep([index])} />
          )}
          {view === 'impossible' && (
            <CannotBePlayed opened={opened} played={work.played} impossible={work.impossible} />
          )}
          {view === 'same' && <SameAsOthers opened={opened} same={standing.same} />}
          {view === 'path' && order.length === 0 && work.state === 'done' && (
            <p className="p-4 text-soft">
              {standing.out.length > 0
                ? say.t('screen.variations.allAreLeftOutTakeSome')
                : sayIssue(say, { code: 'family-empty', path: [] })}
            </p>
          )}
        </div>
        <aside className="flex min-w-0 flex-col gap-4 overflow-y-auto border-l border-line p-3">
          {chosenRows.length > 1 && (
            <ManyPanel
              count={chosenRows.length}
              onDrop={() => leave(chosenRows)}
              onOnly={() => keepOnly(chosenRows)}
              onPin={(end) => pin(chosenRows, end)}
            />
          )}
          {chosen !== null && (
            <MemberPanel
              {...{ opened, members, compared, playback }}
              index={chosen}
              heard={heard === chosen}
              number={order.indexOf(chosen) + 1}
              tempo={tempo}
              onHear={hearMember}
              stands={pinOf(keyOf(chosen))}
              stops={family.stop === keyOf(chosen)}
              onDrop={() => leave([chosen])}
              onPin={(end) => pin([chosen], end)}
              onStop={() => stopHere(chosen)}
              onCompare={setCompared}
            />
          )}
          {work.state === 'done' && opened.size > 1 && (
            <CoverPanel
              {...{ opened, kept, practised }}
              candidates={standing.candidates}
              path={standing.path}
              cover={work.cover}
              onKeep={keepOnly}
              onAll={keepAll}
            />
          )}
        </aside>
      </div>
      <RunBar
        {...{ tempo, programs, onTempo, recipeOf }}
        heard={heard === 'run'}
        onHear={(run) => hear('run', run)}
        send={actions.send}
        order={sent}
        from={chosen}
        part={chosenRows}
        nameOf={nameOf}
        runName={name.trim() || say.t('screen.variations.variationsAsARun')}
      >
        <label className="flex items-baseline gap-1.5">
          <span className="label">{say.t('screen.variations.names')}</span>
          <input
            aria-label={say.t('screen.variations.namesCapital')}
            className="field w-36"
            placeholder="{n} {all}"
            title={say.t('screen.variations.namesHelp', { n: '{n}', first: '{1}', all: '{all}' })}
            maxLength={80}
            value={family.naming}
            onChange={(event) => edit({ naming: event.target.value }, 'naming')}
          />
          {sent[0] !== undefined && (
            <span className="max-w-40 truncate text-sm text-soft" data-testid="first-name">
              {nameOf(sent[0], 0)}
            </span>
          )}
        </label>
      </RunBar>
    </>
  );
}
