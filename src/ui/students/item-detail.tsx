'use client';

import { clsx } from 'clsx';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { sayCount } from '@/core/issue';
import { type Decision, type Variation } from '@/core/log';
import { factsOf, dosageNow, rungAt } from '@/core/ladder';
import { expand, sentenceText } from '@/core/recipe';
import type { LoggedDecision } from '@/core/log';
import { type EntryId, type ItemRecord } from '@/core/studio';
import { sayDay, sayDosage, sayProposal, sayRung, sayVariation, sayWhy, type Say } from '@/words';
import { Button, Choice, useSpeech, Words } from '../base';
import { VerdictSign } from '../marks';
import { LogTable, type EarlierTries } from './log-table';

const TempoChart = dynamic(() => import('./tempo-chart'), {
  ssr: false,
  loading: () => <div className="h-56 text-soft">Loading…</div>,
});

type Decide = (decision: Decision, said: string) => void;

/** One item: where its ladder stands and why, what is proposed, what was decided, what was played. */
export function ItemDetail({
  record,
  onDecide,
  onTakeBack,
  earlier,
}: {
  record: ItemRecord;
  onDecide: Decide;
  onTakeBack: (id: EntryId) => void;
  earlier: EarlierTries;
}) {
  const { say } = useSpeech();
  const { item, state, count } = record;
  return (
    <section aria-labelledby="item-title" className="min-w-0">
      <h2 id="item-title" className="font-serif text-xl">
        <Link href={`/bench?x=${item.exerciseId}&t=${state.bpm}`} className="hover:underline">
          {item.name}
        </Link>
        <span className="font-sans text-sm text-soft"> · {record.program}</span>
      </h2>
      <p className="text-sm text-soft">
        <Words text={sentenceText(record.plays)} />
      </p>
      <Proposal record={record} onDecide={onDecide} />
      <p className="mt-2">
        Next: <b>{sayRung(say, rungAt(state.rungs, state.rung).asks)}</b>,{' '}
        {sayDosage(say, dosageNow(state, item.course.dosage))}. {sayWhy(say, record.why)}
      </p>
      <Rungs record={record} onDecide={onDecide} />
      <Simpler record={record} onDecide={onDecide} />
      {count === 0 ? (
        <p className="mt-6 text-soft">Not played yet.</p>
      ) : (
        <div className="mt-2">
          <TempoChart record={record} />
          {record.curve.length < count && (
            <p className="text-sm text-soft">
              The last tries one by one; before them the fastest of each week.
            </p>
          )}
        </div>
      )}
      <Decisions decisions={record.decisions} onTakeBack={onTakeBack} />
      {count > 0 && <LogTable record={record} earlier={earlier} />}
    </section>
  );
}

/** What Mivvel would do next, why, and the tries it based on. */
function Proposal({ record, onDecide }: { record: ItemRecord; onDecide: Decide }) {
  const { say } = useSpeech();
  const { proposal } = record.state;
  if (!proposal) return null;
  const { rests } = record;
  const { kind } = proposal;
  return (
    <div role="group" aria-label="Proposal" className="mt-3 border-l-3 border-warm pl-3">
      <p className="text-lg leading-6">{sayProposal(say, proposal)}</p>
      <p className="mt-1 flex flex-wrap items-center gap-x-2 gap-y-1 text-sm text-soft">
        based on
        {rests.map((one) => (
          <span key={one.id} className="inline-flex items-center gap-1">
            <VerdictSign verdict={one.verdict} /> {sayDay(say, one.day)} at {one.bpm}
          </span>
        ))}
      </p>
      <span className="mt-2 flex gap-2">
        <Button
          look="main"
          onClick={() => onDecide({ does: 'accept', proposal: kind }, 'Applied.')}
        >
          Apply
        </Button>
        <Button onClick={() => onDecide({ does: 'decline', proposal: kind }, 'Left as it is.')}>
          Not now
        </Button>
      </span>
    </div>
  );
}

/** All rungs; a touch puts the student on another. */
function Rungs({ record, onDecide }: { record: ItemRecord; onDecide: Decide }) {
  const { say } = useSpeech();
  const { rungs, rung: now, passed } = record.state;
  return (
    <ol aria-label="Rungs" className="mt-2 flex flex-wrap gap-1">
      {rungs.map((rung, index) => (
        <li key={index}>
          <button
            type="button"
            aria-current={index === now ? 'step' : undefined}
            title={index === now ? 'here now' : `Move them to ${sayRung(say, rung.asks)}`}
            onClick={() => {
              if (index !== now)
                onDecide({ does: 'move', rung: index }, `Now at ${sayRung(say, rung.asks)}.`);
            }}
            className={clsx(
              'rounded-sm border px-1.5 text-sm',
              index === now
                ? 'border-ink bg-ink font-semibold text-paper'
                : index < now || passed
                  ? 'border-line bg-sheet'
                  : 'border-line text-soft hover:border-soft',
            )}
          >
            {sayRung(say, rung.asks)}
          </button>
        </li>
      ))}
    </ol>
  );
}

/** Plays something simpler in place of the whole, or the whole again. */
function Simpler({ record, onDecide }: { record: ItemRecord; onDecide: Decide }) {
  const { say } = useSpeech();
  const { whole, state } = record;
  const ways = useMemo((): readonly Variation[] => {
    const exercise = expand(whole);
    if (!exercise.ok) return [];
    const facts = factsOf(exercise.value, whole);
    const limbs = facts.limbs.length > 1 ? facts.limbs : [];
    return [
      ...limbs.map(({ written, plays, voice }): Variation => ({
        kind: 'without',
        limb: written,
        plays,
        voice,
      })),
      ...(facts.ornaments ? [{ kind: 'plain' } as const] : []),
      ...(facts.halves ? (['first', 'second'] as const) : []).map((half): Variation => ({
        kind: 'half',
        half,
      })),
      ...facts.bridges.filter((one) => one !== null),
      ...(facts.twist ? [facts.twist] : []),
    ];
  }, [whole]);
  return (
    <p className="mt-2 flex flex-wrap items-baseline gap-3 text-sm">
      {state.variation ? (
        <>
          <span>Plays {sayVariation(say, state.variation)}.</span>
          <Button onClick={() => onDecide({ does: 'vary', variation: null }, 'All of it again.')}>
            all of it again
          </Button>
        </>
      ) : (
        ways.length > 0 && (
          <Choice
            label="Play it another way"
            options={ways.map((way, index) => ({
              value: String(index),
              text: sayVariation(say, way),
            }))}
            className="phrase"
            onChoose={(index) => {
              const variation = ways[Number(index)];
              if (variation)
                onDecide({ does: 'vary', variation }, `Plays ${sayVariation(say, variation)}.`);
            }}
          >
            another way…
          </Choice>
        )
      )}
    </p>
  );
}

/** What the teacher decided, latest first; each can be taken back. */
function Decisions({
  decisions,
  onTakeBack,
}: {
  decisions: readonly LoggedDecision[];
  onTakeBack: (id: EntryId) => void;
}) {
  const { say } = useSpeech();
  const [all, setAll] = useState(false);
  const kept = decisions.filter((one) => !one.takenBack).reverse();
  if (kept.length === 0) return null;
  const rows = all ? kept : kept.slice(0, 3);
  return (
    <div className="mt-3">
      <h3 className="label">decided</h3>
      <ul className="text-sm">
        {rows.map((one) => (
          <li key={one.id} className="flex items-baseline gap-3">
            <span className="w-14 text-soft">{sayDay(say, one.day)}</span>
            <span>{sayDecision(say, one.decision)}</span>
            <Button look="quiet" onClick={() => onTakeBack(one.id)}>
              take back
            </Button>
          </li>
        ))}
      </ul>
      {!all && kept.length > rows.length && (
        <Button look="quiet" onClick={() => setAll(true)}>
          all {sayCount(kept.length, 'decision')}
        </Button>
      )}
    </div>
  );
}

const PROPOSALS: Readonly<{ [kind: string]: string }> = {
  advance: 'go on',
  lower: 'a rung lower',
  restore: 'all of it again',
  simplify: 'make it simpler',
  plateau: 'work on the plateau',
  twist: 'a twist',
};

function sayDecision(say: Say, decision: Decision): string {
  switch (decision.does) {
    case 'accept':
      return `yes: ${PROPOSALS[decision.proposal] ?? decision.proposal}`;
    case 'decline':
      return `not now: ${PROPOSALS[decision.proposal] ?? decision.proposal}`;
    case 'move':
      return `moved to rung ${decision.rung + 1}`;
    case 'vary':
      return decision.variation ? sayVariation(say, decision.variation) : 'all of it again';
  }
}
