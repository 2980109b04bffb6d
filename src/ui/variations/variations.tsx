'use client';

import { useEffect, useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import {
  axisAt,
  flowFamily,
  openFamily,
  standsAsWritten,
  type Axis,
  type AxisPlace,
  type Family,
} from '@/core/family';
import type { Issue } from '@/core/issue';
import type { Material } from '@/core/materials';
import { blankRecipe } from '@/core/recipe';
import type { FamilyName, ProgramSummary } from '@/core/studio';
import { bpm, type Bpm } from '@/core/time';
import { Button, Trouble, useSpeech } from '../base';
import { ShelfProvider } from '../library';
import { FamilyHeader } from './family-header';
import { FamilySentence } from './family-sentence';
import { PathDesk, type View } from './path-desk';
import { Progress } from './progress';
import type { FamilyDraft } from './family-history';
import { useFamily } from './use-family';
import { useFamilyWork } from './use-family-work';
import { useMembers, useStanding } from './use-members';
import { usePath } from './use-path';
import type { VariationActions } from './variation-actions';

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
      saveRules={props.actions.saveRules}
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
  const { say } = useSpeech();
  const { history, edit, dispatch } = useFamily(first, saved);
  const { family } = history.draft;
  const { base, axes } = family;
  const [tempo, setTempo] = useState<Bpm>(bpm(80));
  const [view, setView] = useState<View>('path');
  const made = useMemo(() => openFamily({ base, axes }), [base, axes]);
  const opened = made.ok ? made.value : null;
  const work = useFamilyWork(made.ok ? family : NOTHING_TO_DO, useSettled(tempo));
  const members = useMembers(opened, practised);
  const standing = useStanding(work, family, members);
  const path = usePath(work, standing, family, opened, members);

  const asWritten = standsAsWritten(family);
  const anywhere = { enableOnFormTags: true, preventDefault: true } as const;
  useHotkeys('mod+z', () => dispatch({ kind: 'undo' }), anywhere);
  useHotkeys('mod+shift+z, mod+y', () => dispatch({ kind: 'redo' }), anywhere);

  const nothing = base.over.length === 0 && base.play === null && !base.then && axes.length === 0;
  const shownViews: readonly (readonly [View, string, number])[] = [
    ['path', say.t('screen.variations.pathWord'), standing.path.length],
    ['out', say.t('screen.variations.leftOut'), standing.out.length],
    ['impossible', say.t('screen.variations.cannotBePlayed'), work.impossible.length],
    ['same', say.t('screen.variations.sameAsAnother'), standing.same.length],
  ];
  const shown = shownViews.some(([id, , count]) => id === view && count > 0) ? view : 'path';

  return (
    <main className="flex h-full min-h-0 flex-col">
      <h1 className="sr-only">{history.draft.name || say.t('screen.variations.variations')}</h1>
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
          {say.t('screen.variations.chooseWhatKeepsGoingOrA')}{' '}
          <Button
            onClick={() => {
              const { base: under, axes: flows } = flowFamily();
              edit({ base: under, axes: flows });
            }}
          >
            {say.t('screen.variations.beginWithNine')}
          </Button>
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
                    {say.t('screen.variations.viewCount', { name, count })}
                  </Button>
                ),
            )}
            <span className="ml-auto">
              {standing.alike > 0 && (
                <Button look="quiet" onClick={() => edit({ fold: !family.fold })}>
                  {say.t(family.fold ? 'screen.variations.putBack' : 'screen.variations.leaveOut', {
                    count: standing.alike,
                  })}
                </Button>
              )}
            </span>
            {family.order === null ? (
              <Button
                look="quiet"
                aria-pressed={asWritten}
                onClick={() => edit({ written: !asWritten })}
              >
                {say.t('screen.variations.asWritten')}
              </Button>
            ) : (
              <Button look="quiet" onClick={() => edit({ order: null })}>
                {say.t('screen.variations.sortAgain')}
              </Button>
            )}
            {asWritten && axes.length > 1 && opened && (
              <select
                aria-label={say.t('screen.variations.passes')}
                className="rounded-sm border border-line bg-sheet px-1.5 py-0.5"
                value={axisAt(axes, family.passes)}
                onChange={(event) => edit({ passes: placeOf(axes[Number(event.target.value)]) })}
              >
                <option value={-1}>{say.t('screen.variations.straightThrough')}</option>
                {opened.axes.map(({ name }, nth) => (
                  <option key={nth} value={nth}>
                    {say.t('screen.variations.passForEach', { at: name.at, nth: name.nth ?? 0 })}
                  </option>
                ))}
              </select>
            )}
            <Progress work={work} waiting={path.waiting} />
          </div>
          <PathDesk
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

function placeOf(axis: Axis | undefined): AxisPlace | undefined {
  if (axis === undefined) return undefined;
  const { part } = axis;
  return axis.at === 'over' || axis.at === 'change'
    ? { at: axis.at, index: axis.index, part }
    : { at: axis.at, part };
}

/** How long a tempo stays before the members are read at it. */
const SETTLED_MS = 500;

/** The last value that stayed for a while: what is heard follows each step of the tempo, the reading of
 * all members only where it comes to rest. */
function useSettled<T>(value: T): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), SETTLED_MS);
    return () => clearTimeout(timer);
  }, [value]);
  return settled;
}

/** A family that is too large is not begun. */
const NOTHING_TO_DO: Pick<Family, 'base' | 'axes'> = {
  base: blankRecipe(),
  axes: [{ at: 'feel', values: [] }],
};
