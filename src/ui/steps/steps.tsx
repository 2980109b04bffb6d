'use client';

import { useMemo, useState, type ReactNode } from 'react';
import { difficultyParts, difficultyPoints, hindrances, readBack } from '@/core/analysis';
import type { Issue, Result } from '@/core/issue';
import { staffOrder, type VoiceId } from '@/core/kit';
import { buildSteps, type BuildStep, type StepKind } from '@/core/path';
import { expand, type ClosedRecipe, type Exercise } from '@/core/recipe';
import type { ProgramSummary } from '@/core/studio';
import { bpm, tempoFor, type Bpm } from '@/core/time';
import { sayCue, sayStep, suggestName } from '@/words';
import { attemptOrSay, Button, toast, Trouble, useSpeech, useUndo, Link } from '../base';
import { LimbSign, ScoreSheet, SentenceText } from '../marks';
import { useHear, type Playback } from '../play';
import {
  ManyPanel,
  moveRows,
  PathList,
  putRows,
  RunBar,
  useSelection,
  type PathCommand,
  type RowShown,
  type VariationActions,
} from '../variations';
import { onBench, RecipeLink, useGoWith } from '../shell/recipe-link';
import { TemplateEditor } from './template-editor';

/** Letters of an item’s name. */
const LONGEST_NAME = 80;

interface StepActions {
  readonly send: VariationActions['send'];
  readonly setTemplate: (template: readonly StepKind[]) => Promise<Result<null>>;
}

/** One exercise built in steps: proposed by the studio’s build order, then moved and left out as the
 * teacher likes; each is heard and looked at by itself, and all go to a program. */
export function Steps({
  recipe,
  name: named,
  usual: first,
  programs,
  issues,
  actions,
}: {
  /** Null where the address holds none. */
  recipe: ClosedRecipe | null;
  /** What it is called; empty where it has no name yet. */
  name: string;
  /** The studio’s build order. */
  usual: readonly StepKind[];
  programs: readonly ProgramSummary[];
  issues: readonly Issue[];
  actions: StepActions;
}) {
  const { say } = useSpeech();
  const [usual, setUsual] = useState(first);
  const [template, setTemplate] = useState(first);
  const whole = useMemo(() => recipe && expand(recipe), [recipe]);
  const built = useMemo(
    () => (recipe ? buildSteps(recipe, template).map(stepOf) : []),
    [recipe, template],
  );

  async function keep() {
    if (!(await attemptOrSay(() => actions.setTemplate(template)))) return;
    setUsual(template);
    toast.success(say.t('screen.steps.savedAsYourBuildOrder'));
  }

  return (
    <main className="flex h-full min-h-0 flex-col">
      <header className="flex flex-col gap-2 px-4 pt-3 pb-2">
        <div className="flex items-baseline gap-3">
          <h1 className="font-serif text-xl">{say.t('screen.steps.stepsCapital')}</h1>
          <p className="min-w-0 flex-1 text-soft">
            {recipe && <SentenceText say={say} recipe={recipe} />}
          </p>
          {recipe && (
            <RecipeLink look="quiet" recipe={recipe}>
              {say.t('screen.common.toTheBench')}
            </RecipeLink>
          )}
        </div>
        <TemplateEditor
          template={template}
          usual={usual}
          onChange={setTemplate}
          onKeep={() => void keep()}
        />
        <Trouble issues={issues} />
        {whole && !whole.ok && <Trouble issues={whole.issues} />}
      </header>
      {recipe && built.length > 0 ? (
        <StepDesk
          key={template.join()}
          {...{ built, programs, actions }}
          name={named || suggestName(say, recipe)}
          whole={recipe}
        />
      ) : (
        <p className="px-4 text-soft">
          {say.t.rich('screen.steps.makeFirst', {
            link: (text) => (
              <Link className="phrase" href="/bench">
                {text}
              </Link>
            ),
          })}
        </p>
      )}
    </main>
  );
}

interface Built extends BuildStep {
  readonly exercise: Exercise | null;
}

function stepOf(step: BuildStep): Built {
  const made = expand(step.recipe);
  return { ...step, exercise: made.ok ? made.value : null };
}

/** The steps in order, and the one that is chosen. */
function StepDesk({
  built,
  name,
  whole,
  programs,
  actions,
}: {
  built: readonly Built[];
  /** What the exercise is called. */
  name: string;
  whole: ClosedRecipe;
  programs: readonly ProgramSummary[];
  actions: StepActions;
}) {
  const go = useGoWith();
  const { say } = useSpeech();
  const undoable = useUndo();
  const [tempo, setTempo] = useState<Bpm>(bpm(60));
  const { playback, heard, hear } = useHear<number | 'run'>(tempo);
  const [order, setOrder] = useState<readonly number[]>(() => built.map((_, index) => index));
  const { active: chosen, rows: chosenRows, choose } = useSelection(order);
  const [compared, setCompared] = useState<number | null>(null);
  const rows = useMemo(() => voicesOf(built), [built]);
  const points = useMemo(
    () =>
      built.map(({ exercise }) =>
        exercise ? difficultyPoints(difficultyParts(exercise, tempoFor(exercise.meter, tempo))) : 0,
      ),
    [built, tempo],
  );
  const recipeOf = (index: number) => (built[index] ?? built[0])?.recipe as ClosedRecipe;

  function nameAt(index: number): string {
    const step = built[index];
    return step ? sayStep(say, step.facts) : '';
  }

  function hearStep(index: number) {
    const exercise = built[index]?.exercise;
    if (exercise) hear(index, exercise);
  }

  /** Leaves rows out, with a way back to the order as it was. */
  function leaveOut(rows: readonly number[]) {
    const [first] = rows;
    if (first === undefined) return;
    const places = rows.map((index) => order.indexOf(index));
    const next = order[Math.max(...places) + 1] ?? order[Math.min(...places) - 1];
    if (next !== undefined) choose(next);
    setOrder(order.filter((one) => !rows.includes(one)));
    undoable(say.t('screen.steps.leftOut', { step: nameAt(first), more: rows.length - 1 }), () =>
      setOrder(order),
    );
  }

  function keepOnly(rows: readonly number[]) {
    leaveOut(order.filter((one) => !rows.includes(one)));
  }

  function onCommand(rows: readonly number[], command: PathCommand) {
    const index = chosen !== null && rows.includes(chosen) ? chosen : rows[0];
    if (index === undefined) return;
    const place = order.indexOf(index);
    switch (command.kind) {
      case 'hear':
        return hearStep(index);
      case 'open':
        return go(recipeOf(index), onBench);
      case 'drop':
        return leaveOut(rows);
      case 'compare':
        return setCompared(compared === index ? null : index);
      case 'first':
        return setOrder(putRows(order, rows, order[0] ?? index));
      case 'last':
        return setOrder(putRows(order, rows, order.at(-1) ?? index));
      case 'stop':
        return leaveOut(order.slice(place + 1));
      case 'move':
        return setOrder(moveRows(order, rows, command.by));
      case 'put':
        return setOrder(putRows(order, rows, command.onto));
    }
  }

  const rowOf = (place: number): RowShown => {
    const index = order[place] ?? 0;
    const step = built[index];
    const exercise = step?.exercise ?? null;
    return {
      index,
      number: place + 1,
      exercise,
      before: built[order[place - 1] ?? -1]?.exercise ?? null,
      says: [step ? sayStep(say, step.facts) : ''],
      points: points[index] ?? 0,
      warnings: exercise ? hindrances(exercise, tempoFor(exercise.meter, tempo)).length : 0,
      bars: exercise?.bars ?? 1,
      pinned: null,
      beyond: false,
      stops: false,
      practised: false,
    };
  };

  return (
    <>
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_28rem] border-t border-line">
        <div className="flex min-h-0 min-w-0 flex-col">
          <PathList
            {...{ order, rowOf, rows, compared, onCommand }}
            active={chosen}
            chosen={chosenRows}
            count={order.length}
            hardest={Math.max(...points, 1)}
            lanesBars={Math.min(2, Math.max(...built.map((one) => one.exercise?.bars ?? 1)))}
            onChoose={choose}
          />
        </div>
        <aside className="flex min-w-0 flex-col gap-3 overflow-y-auto border-l border-line p-3">
          {chosenRows.length > 1 && (
            <ManyPanel
              count={chosenRows.length}
              onDrop={() => leaveOut(chosenRows)}
              onOnly={() => keepOnly(chosenRows)}
            />
          )}
          {chosen !== null && (
            <StepPanel {...{ playback, tempo }} step={built[chosen]}>
              <Button onClick={() => hearStep(chosen)} aria-pressed={heard === chosen}>
                {heard === chosen
                  ? say.t('screen.common.stopCapital')
                  : say.t('screen.common.hearCapital')}
              </Button>
              <RecipeLink look="plain" recipe={recipeOf(chosen)}>
                {say.t('screen.common.toTheBenchCapital')}
              </RecipeLink>
              <Button onClick={() => leaveOut([chosen])}>
                {say.t('screen.steps.leaveOutCapital')}
              </Button>
              <Button
                aria-pressed={compared === chosen}
                onClick={() => onCommand([chosen], { kind: 'compare' })}
              >
                {say.t('screen.common.compare')}
              </Button>
            </StepPanel>
          )}
          {compared !== null && compared !== chosen && (
            <div className="border-t border-line pt-2">
              <StepPanel {...{ playback, tempo }} step={built[compared]} />
            </div>
          )}
        </aside>
      </div>
      <RunBar
        {...{ order, tempo, programs, recipeOf }}
        heard={heard === 'run'}
        onHear={(run) => hear('run', run)}
        from={chosen}
        part={chosenRows}
        nameOf={(index, nth) => {
          const step = say.t('screen.steps.numbered', { number: nth + 1, step: nameAt(index) });
          const room = LONGEST_NAME - step.length - ' · '.length;
          const of = name.length > room ? `${name.slice(0, room - 1).trimEnd()}…` : name;
          return say.t('screen.steps.stepOf', { name: of, step });
        }}
        built={{
          whole: { name, recipe: whole },
          saysOf: nameAt,
          kindOf(index) {
            const facts = built[index]?.facts;
            if (facts?.plays === 'part' && facts.untimed) return 'untimed';
            return facts?.plays === 'whole' ? 'whole' : 'step';
          },
        }}
        send={actions.send}
        runName={say.t('screen.steps.stepsAsARun', { name })}
        onTempo={setTempo}
      />
    </>
  );
}

function voicesOf(built: readonly Built[]): readonly VoiceId[] {
  const voices = built.flatMap((one) => one.exercise?.strokes.map((stroke) => stroke.voice) ?? []);
  return [...new Set(voices)].sort((a, b) => staffOrder(a) - staffOrder(b));
}

/** A step by itself: lanes, counts, what to watch for. */
function StepPanel({
  step,
  tempo,
  playback,
  children,
}: {
  step: Built | undefined;
  tempo: Bpm;
  playback: Playback;
  /** What can be done with it. */
  children?: ReactNode;
}) {
  const { say, syllables } = useSpeech();
  const exercise = step?.exercise;
  if (!step || !exercise) return null;
  const read = readBack(exercise, tempoFor(exercise.meter, tempo), undefined, syllables);
  return (
    <section aria-label={say.t('screen.steps.step')} className="flex flex-col gap-2">
      <h2 className="font-serif text-xl">{sayStep(say, step.facts)}</h2>
      {children && <div className="flex flex-wrap gap-2">{children}</div>}
      <ScoreSheet exercise={exercise} shows="lanes" subscribe={playback.subscribe} />
      <ul aria-label={say.t('screen.common.count')}>
        {read.counts.map(({ limb, bars }) => (
          <li key={limb} className="flex items-baseline gap-2">
            <LimbSign limb={limb} /> {bars.slice(0, 4).join(' | ')}
          </li>
        ))}
      </ul>
      {read.cues.map((cue) => (
        <p key={cue.kind} className="text-sm text-soft">
          {sayCue(say, cue, step.recipe.meter)}
        </p>
      ))}
    </section>
  );
}
