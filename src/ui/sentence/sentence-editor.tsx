'use client';

import { useEffect, useId, useMemo, useRef, useState, type ReactNode } from 'react';
import type { Issue } from '@/core/issue';
import { LIMB_POLICIES } from '@/core/interpret';
import {
  changedBesides,
  expand,
  misplacedBarLines,
  partsOf,
  readAs,
  type Change,
  type ClosedRecipe,
  type Exercise,
  withFreeLimb,
  withParts,
  withPlay,
} from '@/core/recipe';
import type { Tempo } from '@/core/time';
import { sayBesides, sayCrowdedGraces, sayGaveWay, sayLimbs, sayPolicy } from '@/words';
import { Choice, issuesAt, toast, Trouble, useSpeech, useUndo } from '../base';
import { useGoWith } from '../shell/recipe-link';
import { AsPhrase } from './as-phrase';
import { AsTriplets, CutPhrase, FeelPhrase, LevelsPhrase, MeterPhrase } from './at-phrase';
import { AddChange, ChangesPhrase } from './changes-phrase';
import type { PlacementRange } from './change-place';
import { KitPhrase, sayReplaced } from './kit-phrase';
import { LineField } from './line-field';
import { OverPhrase } from './over-phrase';
import { StickingPhrase } from './sticking-phrase';
import { AddPart, PartsPhrase } from './parts-phrase';

/** Cycles longer than this are offered to be cut. */
const LONG_BARS = 8;

/** The recipe as a sentence in fixed short lines, read and edited in place; of a sequence, the sentence of
 * the part that is open. `about` joins edits that are one for undo. */
export function SentenceEditor({
  recipe,
  exercise,
  tempo,
  issues,
  onChange,
  onSettle,
}: {
  recipe: ClosedRecipe;
  exercise: Exercise | null;
  tempo: Tempo;
  issues: readonly Issue[];
  onChange: (recipe: ClosedRecipe, about?: string) => void;
  onSettle: () => void;
}) {
  const { say } = useSpeech();
  const latest = useRef(recipe);
  useEffect(() => {
    latest.current = recipe;
  });
  const parts = useMemo(() => partsOf(recipe), [recipe]);
  const [chosen, setChosen] = useState(0);
  const open = Math.min(chosen, parts.length - 1);
  const several = parts.length > 1;
  const one: ClosedRecipe = several ? (parts[open] ?? parts[0]).recipe : recipe;
  const alone = useMemo(() => (several ? expand(one) : null), [several, one]);
  const wrong = alone ? (alone.ok ? [] : alone.issues) : issues;
  const misplaced = misplacedBarLines(one);

  /** Changes parts of the recipe as it is by then. */
  function setParts(change: (part: ClosedRecipe, at: number) => ClosedRecipe, about?: string) {
    const [first, ...others] = partsOf(latest.current).map((part, at) => ({
      ...part,
      recipe: change(part.recipe, at),
    }));
    if (first) onChange(withParts([first, ...others]), about);
  }

  /** Puts a change into the other parts that have not got it. */
  function changeOthers(change: Change) {
    const text = JSON.stringify(change);
    const has = (part: ClosedRecipe) => part.changes.some((one) => JSON.stringify(one) === text);
    const without = partsOf(latest.current).filter((part) => !has(part.recipe)).length;
    setParts((part) => (has(part) ? part : { ...part, changes: [...part.changes, change] }));
    toast.success(say.t('screen.bench.inOtherParts', { count: without }));
  }

  return (
    <section aria-label={say.t('screen.bench.exerciseCapital')} className="sentence flex flex-col">
      {several && (
        <Line label={say.t('screen.bench.partsCapital')}>
          <PartsPhrase recipe={recipe} open={open} onOpen={setChosen} onChange={onChange} />
          <Trouble issues={issuesAt(issues, 'then')} />
        </Line>
      )}
      <PartSentence
        key={open}
        opened={chosen > 0}
        recipe={one}
        exercise={alone ? (alone.ok ? alone.value : null) : exercise}
        tempo={tempo}
        issues={[...misplaced, ...wrong.filter(({ code }) => code !== 'sticking-bar')]}
        onChange={(next, about) =>
          several
            ? setParts((part, at) => (at === open ? next : part), about && `${about} of ${open}`)
            : onChange(next, about)
        }
        onAmend={(was) => setParts((part, at) => (at === open ? { ...part, ...was } : part))}
        onChangeAll={several ? changeOthers : undefined}
        onSettle={onSettle}
      >
        {!several && (
          <span className="ml-2">
            <AddPart recipe={recipe} onChange={onChange} onOpen={setChosen} />
          </span>
        )}
      </PartSentence>
    </section>
  );
}

/** The lines of one exercise. */
function PartSentence({
  recipe,
  opened,
  exercise,
  tempo,
  issues,
  onChange,
  onAmend,
  onChangeAll,
  onSettle,
  children,
}: {
  recipe: ClosedRecipe;
  /** It was just opened, to go on with. */
  opened: boolean;
  exercise: Exercise | null;
  tempo: Tempo;
  issues: readonly Issue[];
  onChange: (recipe: ClosedRecipe, about?: string) => void;
  /** Takes phrases back, in what the exercise is by then. */
  onAmend: (was: Partial<ClosedRecipe>) => void;
  /** Puts a change into the other parts too; left out where there are none. */
  onChangeAll?: (change: Change) => void;
  onSettle: () => void;
  children: ReactNode;
}) {
  const go = useGoWith();
  const { say } = useSpeech();
  const undoable = useUndo();
  const clash = issuesAt(issues, 'clash');
  /** Where ending the cycle earlier is worth an offer. */
  const long =
    (exercise?.bars ?? 1) > LONG_BARS || issues.some((issue) => issue.code === 'cycle-too-long');
  const meets = clash.length > 0 || (exercise?.shared.length ?? 0) > 0;

  /** Changes what is meant; what that changes besides is said, with a way back. */
  function change(next: ClosedRecipe, meant: keyof ClosedRecipe) {
    onChange(next);
    const { now, was } = changedBesides(recipe, next, [meant]);
    const said = sayBesides(say, now);
    if (said === '') return;
    undoable(said, () => onAmend(was));
  }

  const policy = (
    <Choice
      label={say.t('screen.common.whereLimbsMeet')}
      options={LIMB_POLICIES.map((one) => ({
        value: one,
        text: sayPolicy(say, one),
      }))}
      value={recipe.clash}
      onChoose={(clash) => onChange({ ...recipe, clash })}
    >
      {sayPolicy(say, recipe.clash)}
    </Choice>
  );

  function vary(index: number, range: PlacementRange) {
    const query = { at: String(index), range: JSON.stringify(range) };
    go(recipe, (r) => `/variations?${new URLSearchParams({ r, ...query })}`);
  }

  return (
    <>
      <Line label={say.t('screen.common.over')}>
        <OverPhrase
          recipe={recipe}
          onChange={(groove) => change(withFreeLimb(recipe, groove), 'over')}
        />
        <Trouble issues={issuesAt(issues, 'over')} />
      </Line>
      <Line label={say.t('screen.common.play')}>
        <LineField
          play={recipe.play}
          autoFocus={opened && recipe.play === null}
          meter={recipe.meter}
          issues={issuesAt(issues, 'play')}
          onChange={(play) => onChange(withPlay(recipe, play), 'play')}
          onSettle={onSettle}
        />
      </Line>
      {recipe.play && (
        <Line label={say.t('screen.common.as')}>
          {'sticking' in recipe.play.content ? (
            <StickingPhrase
              sticking={recipe.play.content}
              meter={recipe.meter}
              onChange={(content) => onChange({ ...recipe, play: { content } })}
            />
          ) : (
            <AsPhrase
              recipe={recipe}
              issues={issuesAt(issues, 'as')}
              onChange={(as) => onChange({ ...recipe, as })}
              onRead={(id) => change(readAs(recipe, id), 'as')}
            />
          )}
        </Line>
      )}
      {meets && (
        <Line label={say.t('screen.common.whereLimbsMeet')}>
          {exercise && exercise.shared.length > 0
            ? say.t.rich('screen.bench.limbsThatMeet', {
                limbs: sayLimbs(say, exercise.shared),
                policy: () => policy,
              })
            : policy}
          <Trouble issues={clash} />
        </Line>
      )}
      {recipe.changes.length > 0 && (
        <Line label={say.t('screen.common.changedBy')}>
          <ChangesPhrase
            changes={recipe.changes}
            onChange={(changes, about) => onChange({ ...recipe, changes }, about)}
            onAll={onChangeAll}
            onVary={vary}
          />
          <Trouble issues={issuesAt(issues, 'changes')} />
        </Line>
      )}
      <Line label={say.t('screen.common.at')}>
        <MeterPhrase recipe={recipe} onChange={onChange} />
        {', '}
        <FeelPhrase recipe={recipe} tempo={tempo} onChange={onChange} />
        {exercise && <AsTriplets {...{ recipe, exercise, onChange }} />}
        {recipe.levels ? ', ' : ' '}
        <LevelsPhrase recipe={recipe} onChange={onChange} />
        {(recipe.cut !== undefined || long) && (
          <>
            {', '}
            <CutPhrase recipe={recipe} onChange={onChange} />
          </>
        )}
        <Trouble issues={issuesAt(issues, 'meter')} />
      </Line>
      <Line label={say.t('screen.common.forCapital')}>
        <KitPhrase recipe={recipe} onChange={onChange} />
        {exercise && exercise.gaveWay.length > 0 && (
          <span className="ml-2 text-[0.85rem] text-soft">{sayGaveWay(say, exercise.gaveWay)}</span>
        )}
        {exercise && exercise.crowdedGraces.length > 0 && (
          <span className="ml-2 text-[0.85rem] text-soft">{sayCrowdedGraces(say, exercise)}</span>
        )}
        {exercise && exercise.replaced.length > 0 && (
          <span className="ml-2 text-[0.85rem] text-soft">{sayReplaced(say, exercise)}</span>
        )}
        <span className="ml-4">
          <AddChange
            onAdd={(change) => onChange({ ...recipe, changes: [...recipe.changes, change] })}
          />
        </span>
        {children}
      </Line>
    </>
  );
}

function Line({ label, children }: { label: string; children: ReactNode }) {
  const id = useId();
  return (
    <div role="group" aria-labelledby={id} className="flex items-baseline gap-3">
      <span id={id} className="label w-24 shrink-0 text-right leading-8">
        {label}
      </span>
      <div className="min-w-0 flex-1 leading-8">{children}</div>
    </div>
  );
}
