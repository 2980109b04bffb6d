'use client';

import dynamic from 'next/dynamic';
import {
  useCallback,
  useDeferredValue,
  useEffect,
  useMemo,
  useReducer,
  useRef,
  useState,
} from 'react';
import { readBack } from '@/core/analysis';
import { fail, must, type Issue } from '@/core/issue';
import { scoreOf, type Score } from '@/core/playing';
import {
  editByHand,
  expand,
  misplacedBarLines,
  partsOf,
  type Change,
  type ClosedRecipe,
  type Exercise,
} from '@/core/recipe';
import type { ProgramSummary } from '@/core/studio';
import { parseMeter, steadyTempo, tempoFor, type Bpm } from '@/core/time';
import { suggestName } from '@/words';
import { Trouble, useSpeech } from '../base';
import { startHistory } from '../base/history';
import { ScoreSheet, type RowKind } from '../marks';
import { usePlayback } from '../play';
import { AbSwitch, swapped, type Ab } from './ab-switch';
import { BenchHeader } from './bench-header';
import { draftReducer, type Draft } from './draft';
import { useAddress, useRecipeOfAddress } from './address';
import { EditableSheet } from '../lanes';
import { ReadbackPanel } from '../readback';
import { SentenceEditor } from '../sentence';
import { useOpened } from './opened';
import { SheetBar } from './sheet-bar';
import { showsOf, staffRowsOf, useSheet } from './sheet-kept';
import { loopIn, playedBpm, silentLimbs, type TransportSettings } from './settings';
import { Transport } from './transport';
import { useBenchKeys } from './use-bench-keys';
import { useDesk, type BenchActions } from './use-desk';

/** Only an empty Bench offers them. */
const WaysIn = dynamic(() => import('./ways-in').then((ways) => ways.WaysIn), {
  loading: () => null,
});

/** The sentence, lanes and staff in the same columns, the readback, and the sound. The address
 * keeps the recipe. */
export function Workbench({
  draft: first,
  saved: stored,
  tempo,
  issues: openingIssues,
  programs,
  actions,
}: {
  draft: Draft;
  saved: Draft | null;
  tempo: Bpm;
  /** What was wrong with the address that led here. */
  issues: readonly Issue[];
  programs: readonly ProgramSummary[];
  actions: BenchActions;
}) {
  const [history, dispatch] = useReducer(
    draftReducer,
    { draft: first, saved: stored },
    startHistory,
  );
  const { say, syllables } = useSpeech();
  const { draft } = history;
  const { recipe } = draft;
  const [settings, setSettings] = useState<TransportSettings>({
    tempo,
    half: false,
    click: true,
    loop: true,
    countInBars: 1,
    muted: new Set(),
    solo: new Set(),
    mix: {},
    part: null,
  });
  const [ab, setAb] = useState<Ab<ClosedRecipe> | null>(null);
  const [rows, setRows] = useState<RowKind>('voices');
  const [sheet, turn] = useSheet();
  const staffRows = useMemo(() => staffRowsOf(sheet), [sheet]);
  const [writing, setWriting] = useState(false);
  const playback = usePlayback();

  const expanded = useMemo(() => {
    const kept = partsOf(first.recipe).map((part) => part.recipe.play);
    const typed = partsOf(recipe).filter((part) => !kept.includes(part.recipe.play));
    const misplaced = typed.flatMap((part) => misplacedBarLines(part.recipe));
    return misplaced.length > 0 ? fail(...misplaced) : expand(recipe);
  }, [recipe, first]);
  const shown = useLast(expanded.ok ? expanded.value : null);
  const issues = expanded.ok ? [] : expanded.issues;
  const nothing = issues.some((issue) => issue.code === 'nothing-to-play');
  const silent = useMemo(() => silentLimbs(settings), [settings]);
  const isEmpty = nothing && recipe.over.length === 0 && recipe.play === null && !recipe.then;
  const meter = shown?.meter;
  const readAt = useMemo(
    () => (meter ? tempoFor(meter, settings.tempo) : tempoFor(FOUR_FOUR, settings.tempo)),
    [meter, settings.tempo],
  );
  const readback = useMemo(
    () => shown && readBack(shown, readAt, undefined, syllables),
    [shown, readAt, syllables],
  );
  const drawn = useDeferredValue(shown);
  const late = useDeferredValue(
    useMemo(() => shown && readback && { recipe, shown, readback }, [recipe, shown, readback]),
  );

  useAddress(draft, settings.tempo, history.past.length > 0 || settings.tempo !== tempo);
  usePlayAlong(playback, expanded.ok ? expanded.value : null, settings);

  const edit = useCallback(
    (next: ClosedRecipe, about?: string) =>
      dispatch({ kind: 'edit', change: { recipe: next }, about }),
    [],
  );
  /** Begins with a start, on a sheet of its own: a page is opened as one. */
  const begin = (next: ClosedRecipe) =>
    dispatch({ kind: 'edit', change: { recipe: next, sheet: draft.sheet + 1 } });
  useRecipeOfAddress(draft, edit);
  useOpened(draft.id);
  const settle = useCallback(() => dispatch({ kind: 'settle' }), []);

  function togglePlay() {
    if (playback.playing) playback.stop();
    else if (expanded.ok) {
      const { value } = expanded;
      void playback.start(scoreFor(value, settings), tempoFor(value.meter, playedBpm(settings)));
    }
  }

  /** The other of two; the first time this one is kept. */
  function swap() {
    setAb(swapped(ab, recipe));
    if (ab) edit(ab.other);
    settle();
  }

  const desk = useDesk({
    history,
    expanded,
    actions,
    tempo: settings.tempo,
    dispatch,
    onNew() {
      playback.stop();
      setAb(null);
    },
  });

  useBenchKeys({
    onSave: () => void desk.save(),
    onUndo: () => dispatch({ kind: 'undo' }),
    onRedo: () => dispatch({ kind: 'redo' }),
    onHalf: () => setSettings((now) => ({ ...now, half: !now.half })),
    onSwap: swap,
    onPlay: togglePlay,
  });

  return (
    <main className="in-hand flex h-full min-h-0 flex-col">
      <h1 className="sr-only">{draft.name || say.t('screen.common.bench')}</h1>
      <BenchHeader
        history={history}
        nothing={nothing}
        programs={programs}
        desk={desk}
        bpm={settings.tempo}
        onName={(name) => dispatch({ kind: 'edit', change: { name }, about: 'name' })}
        onSettle={settle}
        onUndo={() => dispatch({ kind: 'undo' })}
        onRedo={() => dispatch({ kind: 'redo' })}
      />
      <div className="min-h-0 flex-1 overflow-y-auto lg:grid lg:grid-cols-[minmax(0,1fr)_21.5rem] lg:overflow-visible">
        <div className="min-w-0 px-4 pb-6 lg:overflow-y-auto">
          {history.past.length === 0 && <Trouble issues={openingIssues} />}
          <Trouble issues={desk.refused} />
          <SentenceEditor
            key={draft.sheet}
            recipe={recipe}
            exercise={expanded.ok ? expanded.value : null}
            tempo={readAt}
            issues={issues}
            onChange={edit}
            onSettle={settle}
          />
          {drawn && !nothing ? (
            <div className={expanded.ok ? 'mt-4' : 'mt-4 opacity-35'}>
              <SheetBar
                rows={rows}
                sheet={sheet}
                writing={writing}
                onRows={setRows}
                onTurn={turn}
                onWrite={setWriting}
              >
                <AbSwitch here={ab?.here ?? null} onSwap={swap} onDrop={() => setAb(null)} />
              </SheetBar>
              {writing ? (
                <EditableSheet
                  exercise={shown ?? drawn}
                  rows={rows}
                  shows={sheet.staff ? 'both' : 'lanes'}
                  staffRows={staffRows}
                  subscribe={playback.subscribe}
                  onEdit={(edits) => edit(editByHand(recipe, shown ?? drawn, edits))}
                />
              ) : (
                <ScoreSheet
                  exercise={drawn}
                  rows={rows}
                  shows={showsOf(sheet)}
                  staffRows={staffRows}
                  legend={sheet.legend}
                  subscribe={playback.subscribe}
                  muted={silent}
                  loop={loopIn(settings, drawn)}
                  onLoop={(part) => setSettings((now) => ({ ...now, loop: true, part }))}
                />
              )}
            </div>
          ) : (
            <p className="mt-10 pl-27 text-soft">
              {say.t('screen.bench.chooseOrType')}{' '}
              <button
                type="button"
                className="phrase"
                onClick={() => {
                  setWriting(true);
                  edit({ ...recipe, changes: [...recipe.changes, BLANK_HAND] });
                }}
              >
                {say.t('screen.bench.orWriteItOnTheLanes')}
              </button>
            </p>
          )}
          {isEmpty && <WaysIn onBegin={begin} />}
        </div>
        <aside className="min-w-0 border-line px-4 py-2 max-lg:border-t lg:overflow-y-auto lg:border-l">
          {late && !nothing && (
            <div className={expanded.ok ? '' : 'opacity-35'}>
              <ReadbackPanel
                id={draft.id}
                recipe={late.recipe}
                exercise={late.shown}
                readback={late.readback}
                tempo={readAt}
                onChange={edit}
              />
            </div>
          )}
        </aside>
      </div>
      <Transport
        exercise={nothing ? null : shown}
        name={draft.name || suggestName(say, recipe)}
        recipe={recipe}
        partOf={(of, bars) => ({
          score: scoreFor(of, settings, bars),
          tempi: steadyTempo(tempoFor(of.meter, playedBpm(settings))),
        })}
        settings={settings}
        playing={playback.playing}
        audible={playback.audible}
        subscribe={playback.subscribe}
        onChange={(change) => setSettings((now) => ({ ...now, ...change }))}
        onToggle={togglePlay}
      />
    </main>
  );
}

/** For a tempo before there is an exercise. */
const FOUR_FOUR = must(parseMeter('4/4'));

/** Edits by hand before the first one: empty lanes to write on. */
const BLANK_HAND: Change = { kind: 'hand', length: 1, edits: [] };

/** @param length bars to the end; left out, as it is set */
function scoreFor(exercise: Exercise, settings: TransportSettings, length?: number): Score {
  const { click, loop, countInBars, mix } = settings;
  return scoreOf(exercise, {
    click: click ? 'beats' : 'off',
    countInBars,
    muted: silentLimbs(settings),
    mix,
    loop: length === undefined ? loopIn(settings, exercise) : null,
    bars: length ?? (loop ? null : exercise.bars),
  });
}

/** The last value that was there: what is shown while a mistake is being mended. */
function useLast<T>(value: T | null): T | null {
  const [last, setLast] = useState(value);
  if (value !== null && value !== last) setLast(value);
  return value ?? last;
}

/** What plays follows every edit and every setting. */
function usePlayAlong(
  playback: ReturnType<typeof usePlayback>,
  exercise: Exercise | null,
  settings: TransportSettings,
): void {
  const { change, stop } = playback;
  const first = useRef(true);
  useEffect(() => {
    if (first.current) first.current = false;
    else if (exercise) {
      change({
        score: scoreFor(exercise, settings),
        tempo: tempoFor(exercise.meter, playedBpm(settings)),
      });
    } else stop();
  }, [exercise, settings, change, stop]);
}
