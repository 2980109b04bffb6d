'use client';

import { Fragment, useState } from 'react';
import type { Hindrance } from '@/core/analysis';
import { anchorMends, type ClosedRecipe, type Exercise } from '@/core/recipe';
import { sayHindrance, type Say } from '@/words';
import { Button, useSpeech } from '../base';
import { MOST_PLACES } from './part';

type Rule = Hindrance['rule'];
type KeptHindrances = NonNullable<ClosedRecipe['kept']>;

/** What hinders playing, each with place, reason and mend; the teacher may keep it with a note. */
export function Hindrances({
  hindrances,
  recipe,
  exercise,
  onChange,
}: {
  hindrances: readonly Hindrance[];
  recipe: ClosedRecipe;
  exercise: Exercise;
  onChange: (recipe: ClosedRecipe) => void;
}) {
  const { say } = useSpeech();
  const { kept } = exercise;
  const onKeep = (next: KeptHindrances) => onChange({ ...recipe, kept: [...next] });
  const groups = groupsOf(
    hindrances.filter(({ rule }) => !kept.some((one) => one.rule === rule)),
    exercise,
    say,
  );
  return (
    <ul className="flex flex-col gap-2">
      {groups.map(({ rule, places, reason, mend }) => (
        <li key={reason} className="border-l-3 border-warm pl-2 text-sm leading-5">
          <b>{sayWheres(say, places)}.</b> {reason} <span className="text-soft">{mend}</span>{' '}
          {rule === 'anchor-lost' && (
            <AnchorMends recipe={recipe} exercise={exercise} onChange={onChange} />
          )}
          <Keep onKeep={(note) => onKeep([...kept, { rule, note }])} />
        </li>
      ))}
      {kept
        .filter(({ rule }) => hindrances.some((one) => one.rule === rule))
        .map(({ rule, note }) => (
          <li key={rule} className="border-l-3 border-line pl-2 text-sm leading-5 text-soft">
            {say.t('screen.bench.keptWith', { note })}{' '}
            <button
              type="button"
              className="phrase"
              onClick={() => onKeep(kept.filter((one) => one.rule !== rule))}
            >
              {say.t('screen.bench.warnAgain')}
            </button>
          </li>
        ))}
    </ul>
  );
}

/** Ways to keep what must keep going, each a touch away; undo takes it back. */
function AnchorMends({
  recipe,
  exercise,
  onChange,
}: {
  recipe: ClosedRecipe;
  exercise: Exercise;
  onChange: (recipe: ClosedRecipe) => void;
}) {
  const { say } = useSpeech();
  return anchorMends(recipe, exercise.lostAnchors.length).map((mend) => (
    <Fragment key={mend.kind}>
      <button type="button" className="phrase" onClick={() => onChange(mend.recipe)}>
        {say.t(`screen.bench.anchorMend.${mend.kind}`)}
      </button>{' '}
    </Fragment>
  ));
}

function groupsOf(hindrances: readonly Hindrance[], exercise: Exercise, say: Say) {
  const groups = new Map<string, { rule: Rule; places: string[]; reason: string; mend: string }>();
  for (const hindrance of hindrances) {
    const { where, reason, mend } = sayHindrance(say, hindrance, exercise);
    const group = groups.get(reason) ?? { rule: hindrance.rule, places: [], reason, mend };
    group.places.push(where);
    groups.set(reason, group);
  }
  return [...groups.values()];
}

function sayWheres(say: Say, places: readonly string[]): string {
  const said = places.slice(0, MOST_PLACES).join('; ');
  return places.length > MOST_PLACES
    ? say.t('screen.bench.andMore', { said, count: places.length - MOST_PLACES })
    : said;
}

/** Asks why before it keeps. */
function Keep({ onKeep }: { onKeep: (note: string) => void }) {
  const { say } = useSpeech();
  const [note, setNote] = useState<string | null>(null);
  if (note === null) {
    return (
      <button type="button" className="phrase" onClick={() => setNote('')}>
        {say.t('screen.common.keep')}
      </button>
    );
  }
  return (
    <form
      className="mt-1 flex gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        if (note.trim()) onKeep(note.trim());
      }}
    >
      <input
        aria-label={say.t('screen.bench.whyItIsKept')}
        placeholder={say.t('screen.bench.why')}
        maxLength={200}
        autoFocus
        className="min-w-0 flex-1 rounded-sm border border-line px-1.5"
        value={note}
        onChange={(event) => setNote(event.target.value)}
        onKeyDown={(event) => event.key === 'Escape' && setNote(null)}
      />
      <Button look="quiet" type="submit">
        {say.t('screen.common.keep')}
      </Button>
    </form>
  );
}
