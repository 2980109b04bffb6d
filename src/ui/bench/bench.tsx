'use client';

import { Archive, FilePlus2, Link2, Redo2, Save, Undo2 } from 'lucide-react';
import {
  useCallback,
  useDeferredValue,
  useEffect,
  useMemo,
  useReducer,
  useRef,
  useState,
} from 'react';
import { useRouter } from 'next/navigation';
import { useHotkeys } from 'react-hotkeys-hook';
import { toast } from 'sonner';
import { readBack } from '@/core/analysis';
import { issueText, type Issue, type Result } from '@/core/issue';
import { scoreOf, type Score } from '@/core/playing';
import {
  blankRecipe,
  expand,
  suggestName,
  writeLink,
  type ClosedRecipe,
  type Exercise,
} from '@/core/recipe';
import type { ExerciseId, ProgramId, ProgramSummary, SavedExercise } from '@/core/studio';
import { tempoFor, type Bpm } from '@/core/time';
import { attempt, attemptOrSay, Button, Choice, Trouble, type Option } from '../base';
import { ScoreSheet, type RowKind } from '../marks';
import { usePlayback } from '../play';
import { historyReducer, isSaved, startHistory, type Draft } from './draft';
import { useAddress, useRecipeOfAddress } from './address';
import { ReadbackPanel } from './readback-panel';
import { SentenceEditor } from './sentence-editor';
import { Transport, type TransportSettings } from './transport';

export interface BenchActions {
  readonly save: (input: {
    id: ExerciseId | null;
    name: string;
    recipe: ClosedRecipe;
  }) => Promise<Result<SavedExercise>>;
  readonly archive: (id: ExerciseId, archived: boolean) => Promise<Result<null>>;
  readonly addToProgram: (
    program: { id: ProgramId } | { name: string },
    exerciseId: ExerciseId,
  ) => Promise<Result<ProgramId>>;
}

/** The teacher's workbench: the sentence, lanes and staff in the same columns, the readback, and
 * the sound. The address keeps the recipe. */
export function Bench({
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
    historyReducer,
    { draft: first, saved: stored },
    startHistory,
  );
  const { draft } = history;
  const { recipe } = draft;
  const [settings, setSettings] = useState<TransportSettings>({
    tempo,
    click: true,
    loop: true,
    countInBars: 1,
    muted: new Set(),
  });
  const [rows, setRows] = useState<RowKind>('voices');
  const [staff, setStaff] = useState(true);
  const [saving, setSaving] = useState<'no' | 'yes' | readonly Issue[]>('no');
  const playback = usePlayback();
  const router = useRouter();

  const expanded = useMemo(() => expand(recipe), [recipe]);
  const shown = useLast(expanded.ok ? expanded.value : null);
  const issues = expanded.ok ? [] : expanded.issues;
  const nothing = issues.some((issue) => issue.code === 'nothing-to-play');
  const readback = useMemo(
    () => shown && readBack(shown, tempoFor(shown.meter, settings.tempo)),
    [shown, settings.tempo],
  );
  const sheet = useDeferredValue(shown);
  const saved = isSaved(history);

  useAddress(draft, settings.tempo, history.past.length > 0 || settings.tempo !== tempo);
  usePlayAlong(playback, expanded.ok ? expanded.value : null, settings);

  const edit = useCallback(
    (next: ClosedRecipe, about?: string) =>
      dispatch({ kind: 'edit', change: { recipe: next }, about }),
    [],
  );
  useRecipeOfAddress(first, edit);
  const settle = useCallback(() => dispatch({ kind: 'settle' }), []);

  function togglePlay() {
    if (playback.playing) playback.stop();
    else if (expanded.ok) {
      const { value } = expanded;
      void playback.start(scoreFor(value, settings), tempoFor(value.meter, settings.tempo));
    }
  }

  async function save(): Promise<ExerciseId | null> {
    if (!expanded.ok) {
      toast.error(expanded.issues.map(issueText).join(' '));
      return null;
    }
    setSaving('yes');
    const name = draft.name.trim() || suggestName(recipe);
    const answer = await attempt(() => actions.save({ id: draft.id, name, recipe }));
    if (answer === null) {
      setSaving('no');
      toast.error('Not saved: no connection. Your work is still here; save again.');
      return null;
    }
    if (!answer.ok) {
      setSaving(answer.issues);
      toast.error(answer.issues.map(issueText).join(' '));
      return null;
    }
    setSaving('no');
    const { id } = answer.value;
    if (draft.name !== name) dispatch({ kind: 'edit', change: { name }, about: 'name' });
    dispatch({ kind: 'saved', draft: { ...draft, id, name } });
    toast.success(`Saved ${name}.`);
    return id;
  }

  async function addToProgram(choice: string) {
    const id = saved ? draft.id : await save();
    if (id === null) return;
    const known = programs.find((program) => program.id === choice);
    const to = known ? { id: known.id } : { name: choice.slice(NEW.length) };
    const answer = await attempt(() => actions.addToProgram(to, id));
    if (answer?.ok) {
      toast.success(`Added to ${known?.name ?? choice.slice(NEW.length)}.`, {
        action: {
          label: 'Open it',
          onClick: () => router.push(`/programs/${answer.value}`),
        },
      });
    } else {
      toast.error(
        answer
          ? answer.issues.map(issueText).join(' ')
          : 'Not added: no connection. Choose it again.',
      );
    }
  }

  function startNew() {
    const next = { id: null, sheet: draft.sheet + 1, name: '', recipe: blankRecipe() };
    dispatch({ kind: 'edit', change: next });
    playback.stop();
  }

  async function archive(id: ExerciseId) {
    const name = draft.name;
    const done = await attemptOrSay(() => actions.archive(id, true));
    if (!done) return;
    startNew();
    toast(`Archived ${name}. Programs that use it keep it.`, {
      action: {
        label: 'Undo',
        onClick: async () => {
          const back = await attemptOrSay(() => actions.archive(id, false));
          if (back) router.push(`/bench?x=${id}`);
        },
      },
    });
  }

  async function copyLink() {
    const link = new URL(`/bench?r=${writeLink(recipe)}&t=${settings.tempo}`, window.location.href);
    const copied = await attempt(async () => {
      await navigator.clipboard.writeText(link.href);
      return true;
    });
    if (copied) toast.success('Link copied.');
    else toast('Copy the address of this page: it holds the exercise.');
  }

  const anywhere = { enableOnFormTags: true, preventDefault: true } as const;
  useHotkeys('mod+s', () => void save(), anywhere);
  useHotkeys('mod+z', () => dispatch({ kind: 'undo' }), anywhere);
  useHotkeys('mod+shift+z, mod+y', () => dispatch({ kind: 'redo' }), anywhere);
  useHotkeys('space', togglePlay, { preventDefault: true, ignoreEventWhen: onControl });
  useHotkeys('t', () => document.querySelector<HTMLElement>('[data-tap]')?.click(), {
    ignoreEventWhen: (event) => onControl(event) && !isTap(event),
  });

  return (
    <main className="flex h-full min-h-0 flex-col">
      <h1 className="sr-only">{draft.name || 'Bench'}</h1>
      <header className="flex flex-wrap items-center gap-x-2 gap-y-1 px-4 pt-3 pb-1">
        <input
          aria-label="Exercise name"
          className="title-field min-w-0 flex-1 font-serif text-xl"
          placeholder={nothing ? 'New exercise' : suggestName(recipe)}
          maxLength={80}
          value={draft.name}
          onChange={(event) =>
            dispatch({ kind: 'edit', change: { name: event.target.value }, about: 'name' })
          }
          onBlur={settle}
        />
        <span className="text-sm text-soft" role="status">
          {saving === 'yes' ? 'Saving…' : saved ? 'Saved' : nothing ? '' : 'Not saved'}
        </span>
        <Button look="quiet" onClick={() => dispatch({ kind: 'undo' })} title="Undo (Ctrl Z)">
          <Undo2 size={16} aria-hidden /> undo
        </Button>
        <Button look="quiet" onClick={() => dispatch({ kind: 'redo' })} title="Redo (Ctrl Shift Z)">
          <Redo2 size={16} aria-hidden /> redo
        </Button>
        <Button look="quiet" onClick={startNew}>
          <FilePlus2 size={16} aria-hidden /> new
        </Button>
        {draft.id !== null && (
          <Button look="quiet" onClick={() => draft.id && void archive(draft.id)}>
            <Archive size={16} aria-hidden /> archive
          </Button>
        )}
        <Button look="quiet" onClick={() => void copyLink()}>
          <Link2 size={16} aria-hidden /> link
        </Button>
        <Choice
          label="Program to add it to, or a new name"
          options={programs.map((one): Option<string> => ({ value: one.id, text: one.name }))}
          className="inline-flex h-8 items-center rounded-sm border border-line bg-sheet px-3 hover:border-soft"
          onChoose={(choice) => void addToProgram(choice)}
          onType={(text) => ({ ok: true, value: NEW + text })}
        >
          to program…
        </Choice>
        <Button look="main" onClick={() => void save()} aria-keyshortcuts="Control+S">
          <Save size={15} aria-hidden /> Save
        </Button>
      </header>
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_21.5rem]">
        <div className="min-w-0 overflow-y-auto px-4 pb-6">
          {history.past.length === 0 && <Trouble issues={openingIssues} />}
          {Array.isArray(saving) && <Trouble issues={saving} />}
          <SentenceEditor
            recipe={recipe}
            exercise={expanded.ok ? expanded.value : null}
            issues={issues}
            onChange={edit}
            onSettle={settle}
          />
          {sheet && !nothing ? (
            <div className={expanded.ok ? 'mt-4' : 'mt-4 opacity-35'}>
              <div className="mb-1 flex justify-end gap-1">
                <Button
                  look="quiet"
                  aria-pressed={rows === 'limbs'}
                  onClick={() => setRows(rows === 'limbs' ? 'voices' : 'limbs')}
                >
                  rows by limb
                </Button>
                <Button look="quiet" aria-pressed={staff} onClick={() => setStaff(!staff)}>
                  staff
                </Button>
              </div>
              <ScoreSheet
                exercise={sheet}
                rows={rows}
                staff={staff}
                subscribe={playback.subscribe}
                muted={settings.muted}
              />
            </div>
          ) : (
            <p className="mt-10 pl-27 text-soft">
              Choose what keeps going, or type a line: it is drawn here as you go.
            </p>
          )}
        </div>
        <aside className="min-w-0 overflow-y-auto border-l border-line px-4 py-2">
          {shown && readback && !nothing && (
            <div className={expanded.ok ? '' : 'opacity-35'}>
              <ReadbackPanel exercise={shown} readback={readback} />
            </div>
          )}
        </aside>
      </div>
      <Transport
        exercise={nothing ? null : shown}
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

/** Marks a program's name that is still to be made. */
const NEW = 'new: ';

function scoreFor(exercise: Exercise, settings: TransportSettings): Score {
  const { click, loop, countInBars, muted } = settings;
  return scoreOf(exercise, { click, countInBars, muted, bars: loop ? null : exercise.bars });
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
        tempo: tempoFor(exercise.meter, settings.tempo),
      });
    } else stop();
  }, [exercise, settings, change, stop]);
}

/** A key that a focused control takes for itself. */
function onControl(event: KeyboardEvent): boolean {
  return (
    event.target instanceof Element && event.target.closest('button, a, [role=dialog]') !== null
  );
}

function isTap(event: KeyboardEvent): boolean {
  return event.target instanceof Element && event.target.closest('[data-tap]') !== null;
}
