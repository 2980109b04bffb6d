'use client';

import { Play, Square } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useMemo, useState, type ReactNode } from 'react';
import { MOST_OF_A_RUN, runOf, runSeams } from '@/core/family';
import { stepCourse, type Course } from '@/core/ladder';
import { scoreOf } from '@/core/playing';
import type { Piece } from '@/core/format';
import { expand, partsOf, type ClosedRecipe, type Exercise } from '@/core/recipe';
import type { ProgramSummary } from '@/core/studio';
import { steadyTempo, tempoFor, type Bpm } from '@/core/time';
import { sayCaution, sayEach, sayRunSeam, saySentence } from '@/words';
import {
  attemptOrSay,
  Button,
  ProgramChoice,
  type ProgramTarget,
  toast,
  toastIssues,
  useSpeech,
} from '../base';
import { FilesPop, TempoField } from '../play';
import { Toggle } from '../sentence';
import { SheetButton } from '../sheets';
import type { SentExercise, VariationActions } from './variation-actions';

const SEND_AS = { items: 'screen.variations.anItemEach', run: 'screen.variations.oneRun' } as const;
const SEND_STEPS_AS = { ...SEND_AS, steps: 'screen.variations.rungsOfOneItem' } as const;
const BARS = [1, 2, 4, 8] as const;

/** Steps of one exercise. */
interface BuiltSteps {
  /** What they build up to. */
  readonly whole: SentExercise;
  /** What is said of one as a rung of it. */
  readonly saysOf: (index: number) => string;
  readonly kindOf: (index: number) => 'step' | 'whole' | 'untimed';
}

/** Hearing the path as a run, and sending it to a program. */
export function RunBar({
  order,
  from,
  part = [],
  nameOf,
  recipeOf,
  tempo,
  heard,
  onHear,
  programs,
  send: sendTo,
  runName,
  built,
  onTempo,
  children,
}: {
  /** What is heard and sent, in order. */
  order: readonly number[];
  /** Where a run begins. */
  from: number | null;
  /** What is chosen; several of them are heard by themselves, round and round. */
  part?: readonly number[];
  /** @param nth place in the order, from 0 */
  nameOf: (index: number, nth: number) => string;
  recipeOf: (index: number) => ClosedRecipe;
  tempo: Bpm;
  /** Whether the run plays just now. */
  heard: boolean;
  onHear: (run: Exercise) => void;
  programs: readonly ProgramSummary[];
  send: VariationActions['send'];
  /** What a run is called. */
  runName: string;
  /** Where they are steps of one exercise. */
  built?: BuiltSteps;
  onTempo: (tempo: Bpm) => void;
  /** More that is chosen before sending. */
  children?: ReactNode;
}) {
  const router = useRouter();
  const { say } = useSpeech();
  const [bars, setBars] = useState<number>(1);
  const [as, setAs] = useState<keyof typeof SEND_STEPS_AS>('items');
  const [named, setNamed] = useState('');
  const [seams, setSeams] = useState<readonly string[] | null>(null);
  const [first] = order;
  const firstRecipe = first === undefined ? null : recipeOf(first);
  const firstExercise = useMemo(() => firstRecipe && expand(firstRecipe), [firstRecipe]);
  const several = part.length > 1;
  const start = Math.max(0, order.indexOf(several ? (part[0] ?? 0) : (from ?? 0)));

  /** Without a click there is no tempo to climb. */
  const free: Course = {
    ...stepCourse(tempo, 'step'),
    ladder: { kind: 'stages', bpm: tempo, stages: [{ kind: 'manner', manner: 'click-off' }] },
  };

  function partOf(all: readonly number[], from: number) {
    return all.map((index, nth) => ({
      name: nameOf(index, from + nth),
      recipe: recipeOf(index),
    }));
  }

  const stepsOf = ({ saysOf, kindOf }: BuiltSteps, all: readonly number[]) =>
    all.map((index) => ({
      says: saysOf(index),
      recipe: recipeOf(index),
      ...(kindOf(index) === 'untimed' && { untimed: true }),
    }));

  /** Steps follow one another, each with a ladder that fits it. */
  const inTurn = ({ kindOf }: BuiltSteps, each: readonly SentExercise[]) =>
    each.map((one, nth): SentExercise => {
      const kind = kindOf(order[nth] ?? 0);
      return { ...one, follows: true, course: kind === 'untimed' ? free : stepCourse(tempo, kind) };
    });

  /** The run that is heard; where it cannot be played, that is said. */
  function madeRun() {
    const heardRows = several ? part : order.slice(start);
    const members = partOf(heardRows.slice(0, MOST_OF_A_RUN), start);
    const run = runOf(members, bars);
    const made = run && expand(run);
    if (made?.ok) return { members, whole: made.value };
    if (made) toastIssues(made.issues);
    return null;
  }

  function runPart() {
    const made = madeRun();
    if (!made) return null;
    const { whole } = made;
    const score = scoreOf(whole, { bars: whole.bars });
    return { score, tempi: steadyTempo(tempoFor(whole.meter, tempo)) };
  }

  /** All of them one after the other, for a file; what cannot be played is said. */
  function piecesOf() {
    const entries = partOf(several ? part : order, 0);
    const made = entries.map(({ recipe }) => expand(recipe));
    const issues = made.flatMap((one) => (one.ok ? [] : one.issues));
    if (issues.length > 0) {
      toastIssues(issues);
      return null;
    }
    return entries.flatMap(({ name, recipe }, index): readonly Piece[] => {
      const one = made[index];
      return one?.ok
        ? [{ name, says: saySentence(say, recipe), exercise: one.value, bpm: tempo }]
        : [];
    });
  }

  function hearRun() {
    const made = madeRun();
    if (!made) return;
    const { members, whole } = made;
    const recipes = members.map((one) => one.recipe);
    const at = tempoFor(whole.meter, tempo);
    const found = runSeams(whole, recipes, at, start + 1);
    setSeams(heard ? null : found.map((one) => sayRunSeam(say, one, whole)));
    onHear(whole);
  }

  async function send(to: ProgramTarget, into: string) {
    const each = partOf(order, 0);
    const count = each.reduce((sum, one) => sum + partsOf(one.recipe).length, 0);
    if (as === 'run' && count > MOST_OF_A_RUN) {
      toastIssues([{ code: 'members-too-many', path: [], count, most: MOST_OF_A_RUN }]);
      return;
    }
    const run = as === 'run' ? runOf(each, bars) : null;
    const course = stepCourse(tempo, 'step');
    const rungs =
      as === 'steps' && built ? [{ ...built.whole, course, steps: stepsOf(built, order) }] : null;
    const items = built ? inTurn(built, each) : each;
    const exercises = rungs ?? (run ? [{ name: named.trim() || runName, recipe: run }] : items);
    const done = await attemptOrSay(() => sendTo(to, exercises));
    if (!done) return;
    const sent = {
      items: say.t('screen.variations.itemCount', { count: each.length }),
      run: say.t('screen.variations.aRunOf', { count: each.length }),
      steps: say.t('screen.variations.oneItem'),
    }[as];
    const turn = built !== undefined && as === 'items' ? 'yes' : 'no';
    toast.success(say.t('screen.variations.sentTo', { sent, program: into, turn }), {
      action: {
        label: say.t('screen.common.openIt'),
        onClick: () => router.push(`/programs/${done.value}`),
      },
    });
  }

  return (
    <section
      aria-label={say.t('screen.variations.runAndProgram')}
      className="border-t border-line bg-sheet px-4 py-1.5"
    >
      {seams !== null && seams.length > 0 && (
        <p role="status" className="mb-1 border-l-3 border-warm pl-2 text-sm">
          {say.t('screen.variations.atTheSeams', {
            seams: seams.slice(0, 2).join(' '),
            more: Math.max(0, seams.length - 2),
          })}
        </p>
      )}
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <Button look="main" onClick={hearRun}>
          {heard ? <Square size={14} aria-hidden /> : <Play size={14} aria-hidden />}
          {heard
            ? say.t('screen.common.stopCapital')
            : say.t('screen.variations.hearAsARun', { chosen: several ? part.length : 0 })}
        </Button>
        <select
          aria-label={say.t('screen.variations.barsOfEach')}
          className="h-8 rounded-sm border border-line bg-sheet px-1.5"
          value={bars}
          onChange={(event) => setBars(Number(event.target.value))}
        >
          {BARS.map((count) => (
            <option key={count} value={count}>
              {say.t('screen.variations.barsEach', { count })}
            </option>
          ))}
        </select>
        <TempoField
          exercise={firstExercise?.ok ? firstExercise.value : null}
          tempo={tempo}
          onTempo={onTempo}
        />
        <FilesPop
          name={runName}
          piecesOf={piecesOf}
          bundled={() => ({ exercises: partOf(several ? part : order, 0) })}
          sound={{ partOf: runPart }}
        />
        <SheetButton
          look="quiet"
          name={named.trim() || runName}
          whatOf={() => {
            const entries = partOf(several ? part : order, 0);
            return { kind: 'exercises', title: named.trim() || runName, entries, bpm: tempo };
          }}
        />
        <div className="ml-auto">{children}</div>
        {built ? (
          <Toggle
            label={say.t('screen.variations.sendAs')}
            bare
            options={sayEach(say, SEND_STEPS_AS)}
            value={as}
            onChoose={setAs}
          />
        ) : (
          <Toggle
            label={say.t('screen.variations.sendAs')}
            bare
            options={sayEach(say, SEND_AS)}
            value={as === 'steps' ? 'items' : as}
            onChoose={setAs}
          />
        )}
        {as === 'run' && (
          <input
            aria-label={say.t('screen.variations.nameOfTheRun')}
            className="field w-44"
            placeholder={runName}
            maxLength={120}
            value={named}
            onChange={(event) => setNamed(event.target.value)}
          />
        )}
        <ProgramChoice
          label={say.t('screen.variations.programToSendThemToOr')}
          programs={programs}
          onChoose={(to, into) => void send(to, into)}
        >
          {say.t('screen.variations.toProgram', { order: order.length })}
        </ProgramChoice>
      </div>
      <p className="mt-1 text-xs leading-4 text-soft">{sayCaution(say)}</p>
    </section>
  );
}
