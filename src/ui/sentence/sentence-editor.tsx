'use client';

import { useEffect, useId, useRef, type ReactNode } from 'react';
import type { Issue } from '@/core/issue';
import { LIMB_POLICIES } from '@/core/interpret';
import {
  changedBesides,
  readAs,
  type ClosedRecipe,
  type Exercise,
  withFreeLimb,
  withPlay,
} from '@/core/recipe';
import { sayBesides, sayLimbs, sayPolicy } from '@/words';
import { Choice, issuesAt, Trouble, useSpeech, useUndo } from '../base';
import { AsPhrase } from './as-phrase';
import { CutPhrase, FeelPhrase, LevelsPhrase, MeterPhrase } from './at-phrase';
import { AddChange, ChangesPhrase } from './changes-phrase';
import { KitPhrase, sayReplaced } from './kit-phrase';
import { LineField } from './line-field';
import { OverPhrase } from './over-phrase';
import { StickingPhrase } from './sticking-phrase';
import { AddMember, ThenPhrase } from './then-phrase';

/** Cycles longer than this are offered to be cut. */
const LONG_BARS = 8;

/** The recipe as a sentence in fixed short lines, read and edited in place. `about` joins edits
 * that are one for undo. */
export function SentenceEditor({
  recipe,
  exercise,
  issues,
  onChange,
  onSettle,
}: {
  recipe: ClosedRecipe;
  exercise: Exercise | null;
  issues: readonly Issue[];
  onChange: (recipe: ClosedRecipe, about?: string) => void;
  onSettle: () => void;
}) {
  const { say } = useSpeech();
  const undoable = useUndo();
  const latest = useRef(recipe);
  useEffect(() => {
    latest.current = recipe;
  });
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
    undoable(said, () => onChange({ ...latest.current, ...was }));
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

  return (
    <section aria-label={say.t('screen.bench.exerciseCapital')} className="sentence flex flex-col">
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
          />
          <Trouble issues={issuesAt(issues, 'changes')} />
        </Line>
      )}
      <Line label={say.t('screen.common.at')}>
        <MeterPhrase recipe={recipe} onChange={onChange} />
        {', '}
        <FeelPhrase recipe={recipe} onChange={onChange} />
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
        {exercise && exercise.replaced.length > 0 && (
          <span className="ml-2 text-[0.85rem] text-soft">{sayReplaced(say, exercise)}</span>
        )}
        <span className="ml-4">
          <AddChange
            onAdd={(change) => onChange({ ...recipe, changes: [...recipe.changes, change] })}
          />
        </span>
        {!recipe.then && (
          <span className="ml-2">
            <AddMember recipe={recipe} onChange={onChange} />
          </span>
        )}
      </Line>
      {recipe.then && (
        <Line label={say.t('screen.bench.thenCapital')}>
          <ThenPhrase recipe={recipe} then={recipe.then} onChange={onChange} />
          <Trouble issues={issuesAt(issues, 'then')} />
        </Line>
      )}
    </section>
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
