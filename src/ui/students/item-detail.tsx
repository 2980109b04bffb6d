'use client';

import { clsx } from 'clsx';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import type { Decision, Variation, LoggedDecision, Verdict } from '@/core/log';
import { factsOf, dosageNow, rungAt } from '@/core/ladder';
import { asPlayed, expand } from '@/core/recipe';
import { type EntryId, type ItemRecord } from '@/core/studio';
import { type Say, sayDay, sayDosage, sayProposal, sayRung, sayVariation, sayWhy } from '@/words';
import { Loading, Button, buttonLook, Choice, useSpeech, Link } from '../base';
import { SentenceText, VerdictSign } from '../marks';
import { CueField } from './cue-field';
import { LogTable, type EarlierTries } from './log-table';

const TempoChart = dynamic(() => import('./tempo-chart'), {
  ssr: false,
  loading: () => (
    <div className="h-56 text-soft">
      <Loading />
    </div>
  ),
});

/** Sound comes with what is heard. */
const WaysToHear = dynamic(() => import('./ways-to-hear'), { loading: () => null });

type Decide = (decision: Decision, said: string) => void;

/** One item: where its ladder stands and why, what is proposed, what was decided, what was played. */
export function ItemDetail({
  record,
  stand,
  onDecide,
  onTakeBack,
  onCue,
  onJudge,
  earlier,
}: {
  record: ItemRecord;
  /** Address of the student's Stand with this item. */
  stand: string;
  onCue: (text: string) => Promise<boolean>;
  onJudge: (id: EntryId, verdict: Verdict) => void;
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
        <SentenceText say={say} recipe={asPlayed(record.plays)} />
      </p>
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <Link href={stand} className={buttonLook('main')}>
          {say.t('screen.students.playInTheLesson')}
        </Link>
        <CueField key={record.cue} cue={record.cue} onCue={onCue} />
      </div>
      <Proposal record={record} onDecide={onDecide} />
      <p className="mt-2">
        {say.t.rich('screen.students.next', {
          b: (text) => <b>{text}</b>,
          rung: sayRung(say, rungAt(state.rungs, state.rung).asks),
          dosage: sayDosage(say, dosageNow(state, item.course.dosage)),
        })}{' '}
        {sayWhy(say, record.why)}
      </p>
      <Rungs record={record} onDecide={onDecide} />
      <Simpler record={record} onDecide={onDecide} />
      {count === 0 ? (
        <p className="mt-6 text-soft">{say.t('screen.students.notPlayedYet')}</p>
      ) : (
        <div className="mt-2">
          <TempoChart record={record} />
          {record.curve.length < count && (
            <p className="text-sm text-soft">{say.t('screen.students.theLastTriesOneByOne')}</p>
          )}
        </div>
      )}
      <Decisions decisions={record.decisions} onTakeBack={onTakeBack} />
      {count > 0 && <LogTable {...{ record, earlier, onJudge }} />}
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
    <div
      role="group"
      aria-label={say.t('screen.students.proposal')}
      className="mt-3 border-l-3 border-warm pl-3"
    >
      <p className="text-lg leading-6">{sayProposal(say, proposal)}</p>
      <p className="mt-1 flex flex-wrap items-center gap-x-2 gap-y-1 text-sm text-soft">
        {say.t('screen.students.basedOn')}
        {rests.map((one) => (
          <span key={one.id} className="inline-flex items-center gap-1">
            <VerdictSign verdict={one.verdict} />{' '}
            {say.t('screen.students.dayAt', { day: sayDay(say, one.day), bpm: one.bpm })}
          </span>
        ))}
      </p>
      {'variation' in proposal && (
        <WaysToHear
          record={record}
          proposed={proposal.variation}
          twists={kind === 'twist'}
          onApply={(variation) =>
            onDecide(
              { does: 'accept', proposal: kind, variation },
              say.t('screen.students.plays', { variation: sayVariation(say, variation) }),
            )
          }
        />
      )}
      <span className="mt-2 flex gap-2">
        <Button
          look="main"
          onClick={() =>
            onDecide({ does: 'accept', proposal: kind }, say.t('screen.students.applied'))
          }
        >
          {say.t('screen.students.apply')}
        </Button>
        <Button
          onClick={() =>
            onDecide({ does: 'decline', proposal: kind }, say.t('screen.students.leftAsItIs'))
          }
        >
          {say.t('screen.students.notNow')}
        </Button>
      </span>
    </div>
  );
}

/** What was decided by hand, and that what was proposed goes with it. */
function withProposal(say: Say, { state }: ItemRecord, decided: string): string {
  return state.proposal ? say.t('screen.students.insteadOfProposal', { decided }) : decided;
}

/** All rungs; a touch puts the student on another. */
function Rungs({ record, onDecide }: { record: ItemRecord; onDecide: Decide }) {
  const { say } = useSpeech();
  const { rungs, rung: now, passed } = record.state;
  return (
    <ol aria-label={say.t('screen.common.rungs')} className="mt-2 flex flex-wrap gap-1">
      {rungs.map((rung, index) => (
        <li key={index}>
          <button
            type="button"
            aria-current={index === now ? 'step' : undefined}
            title={
              index === now
                ? say.t('screen.students.hereNow')
                : say.t('screen.students.moveThemTo', { rung: sayRung(say, rung.asks) })
            }
            onClick={() => {
              if (index !== now)
                onDecide(
                  { does: 'move', rung: index },
                  withProposal(
                    say,
                    record,
                    say.t('screen.students.nowAt', { rung: sayRung(say, rung.asks) }),
                  ),
                );
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
          <span>
            {say.t('screen.students.plays', { variation: sayVariation(say, state.variation) })}
          </span>
          <Button
            onClick={() =>
              onDecide(
                { does: 'vary', variation: null },
                withProposal(say, record, say.t('screen.students.allOfItAgainNow')),
              )
            }
          >
            {say.t('screen.students.allOfItAgain')}
          </Button>
        </>
      ) : (
        ways.length > 0 && (
          <Choice
            label={say.t('screen.students.playItAnotherWay')}
            options={ways.map((way, index) => ({
              value: String(index),
              text: sayVariation(say, way),
            }))}
            className="phrase"
            onChoose={(index) => {
              const variation = ways[Number(index)];
              if (variation)
                onDecide(
                  { does: 'vary', variation },
                  withProposal(
                    say,
                    record,
                    say.t('screen.students.plays', { variation: sayVariation(say, variation) }),
                  ),
                );
            }}
          >
            {say.t('screen.students.anotherWay')}
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
      <h3 className="label">{say.t('screen.students.decided')}</h3>
      <ul className="text-sm">
        {rows.map((one) => (
          <li key={one.id} className="flex items-baseline gap-3">
            <span className="w-14 text-soft">{sayDay(say, one.day)}</span>
            <span>{sayDecision(say, one.decision)}</span>
            <Button look="quiet" onClick={() => onTakeBack(one.id)}>
              {say.t('screen.students.takeBack')}
            </Button>
          </li>
        ))}
      </ul>
      {!all && kept.length > rows.length && (
        <Button look="quiet" onClick={() => setAll(true)}>
          {say.t('screen.students.allDecisions', { count: kept.length })}
        </Button>
      )}
    </div>
  );
}

const PROPOSALS = {
  advance: 'screen.common.goOn',
  lower: 'screen.students.aRungLower',
  restore: 'screen.students.allOfItAgain',
  simplify: 'screen.students.makeItSimpler',
  plateau: 'screen.students.workOnThePlateau',
  twist: 'screen.students.aTwist',
} as const;

/** What was proposed; kinds that are none any more stay as they were logged. */
function sayKind(say: Say, kind: string): string {
  return kind in PROPOSALS ? say.t(PROPOSALS[kind as keyof typeof PROPOSALS]) : kind;
}

function sayDecision(say: Say, decision: Decision): string {
  switch (decision.does) {
    case 'accept':
      return say.t('screen.students.yes', { proposal: sayKind(say, decision.proposal) });
    case 'decline':
      return say.t('screen.students.no', { proposal: sayKind(say, decision.proposal) });
    case 'move':
      return say.t('screen.students.movedToRung', { rung: decision.rung + 1 });
    case 'vary':
      return decision.variation
        ? sayVariation(say, decision.variation)
        : say.t('screen.students.allOfItAgain');
  }
}
