'use client';

import { useState } from 'react';
import type { Issue } from '@/core/issue';
import {
  DOSAGE_KINDS,
  MOST_LAST_TRIES,
  STOPPED_TRIES,
  makeCourse,
  typeCourse,
  type Course,
  type LadderKind,
  type PracticeStep,
  type TypedCourse,
} from '@/core/ladder';
import type { Tempo } from '@/core/time';
import { sayEach, type Key } from '@/words';
import { issuesAt, Trouble, useSpeech } from '../base';
import { TempoGlyph } from '../play';
import { Stages } from './stages';
import { sayRungs } from './say-course';
import { Numbers } from './numbers-choice';

const KINDS = {
  fixed: 'screen.programs.equalSteps',
  percent: 'screen.programs.percent',
  'two-up': 'screen.programs.twoUpOneDown',
  alternate: 'screen.programs.slowAndFastInTurn',
  hold: 'screen.programs.heldLongerAndLonger',
  list: 'screen.common.byHand',
  ramp: 'screen.programs.rampWithinATry',
  stages: 'screen.programs.practiceSteps',
} as const satisfies Record<LadderKind, Key>;

/** Ladder, dosage and rule as words with fields in them. What is typed is kept, also when it cannot be
 * played; it is taken as soon as it can. */
export function CourseFields({
  course,
  tempo,
  steps,
  waits,
  onSet,
}: {
  course: Course;
  tempo: Pick<Tempo, 'beatTicks'>;
  /** The steps in which this exercise is built; none where several are set at once. */
  steps?: () => readonly PracticeStep[];
  /** Whether something comes before it, so that it may start halfway. */
  waits: boolean;
  onSet: (course: Course) => void;
}) {
  const { say } = useSpeech();
  const [typed, setTyped] = useState(typeCourse(course));
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [known, setKnown] = useState(course);
  const { kind } = typed;

  if (known !== course) {
    setKnown(course);
    const made = makeCourse(typed);
    if (!made.ok || !same(made.value, course)) setTyped(typeCourse(course));
  }

  function take(next: TypedCourse) {
    const made = makeCourse(next);
    setIssues(made.ok ? [] : made.issues);
    if (made.ok && !same(made.value, course)) onSet(made.value);
  }

  function choose(change: Partial<TypedCourse>) {
    const next = { ...typed, ...change };
    setTyped(next);
    take(next);
  }

  function chooseKind(next: LadderKind) {
    const fresh = keptBy(typed, next) ?? KIND_STARTS[next] ?? {};
    const stages =
      next === 'stages' && typed.stages.length === 0 ? (steps?.() ?? []) : typed.stages;
    choose({ kind: next, ...fresh, stages: [...stages] });
  }

  const field = (key: TextKey, label: string, wide = false) => (
    <input
      aria-label={label}
      title={label}
      inputMode={wide ? undefined : 'decimal'}
      className={`field text-center font-semibold ${wide ? 'w-72 text-left' : 'w-11'}`}
      value={typed[key]}
      aria-invalid={issuesAt(issues, key).length > 0}
      onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
      onBlur={() => take(typed)}
      onKeyDown={(event) => event.key === 'Enter' && take(typed)}
    />
  );

  return (
    <div className="text-[0.95rem]">
      <div className="flex flex-wrap items-baseline gap-x-1.5 gap-y-1.5">
        <select
          aria-label={say.t('screen.programs.kindOfLadder')}
          className="field"
          value={kind}
          onChange={(event) => chooseKind(event.target.value as LadderKind)}
        >
          {Object.entries(sayEach(say, KINDS)).map(([value, text]) => (
            <option key={value} value={value}>
              {text}
            </option>
          ))}
        </select>
        <TempoGlyph tempo={tempo} size={14} />
        <Way kind={kind} field={field} />
        <span className="ml-3">{say.t('screen.programs.each')}</span>
        {field('amount', say.t('screen.programs.field.amount'))}
        <select
          aria-label={say.t('screen.programs.dosage')}
          className="field"
          value={typed.dosage}
          onChange={(event) => choose({ dosage: event.target.value as TypedCourse['dosage'] })}
        >
          {DOSAGE_KINDS.map((one) => (
            <option key={one} value={one}>
              {say.t(`practice.dosageKind.${one}`)}
            </option>
          ))}
        </select>
      </div>
      {kind === 'stages' && (
        <Stages
          stages={typed.stages}
          tempo={typed.slow}
          steps={steps}
          onSet={(stages) => choose({ stages })}
        />
      )}
      <div className="mt-1.5 flex flex-wrap items-baseline gap-x-1.5 gap-y-1.5">
        {say.t.rich('screen.programs.rule', {
          ...WORD,
          clean: () => field('clean', say.t('screen.programs.field.clean')),
          of: () => (
            <select
              aria-label={say.t('screen.programs.field.of')}
              className="field"
              value={typed.of}
              aria-invalid={issuesAt(issues, 'of').length > 0}
              onChange={(event) => choose({ of: event.target.value })}
            >
              <option value="">{say.t('screen.programs.inARow')}</option>
              {lastTries(typed).map((tries) => (
                <option key={tries} value={tries}>
                  {say.t('screen.programs.ofLast', { tries })}
                </option>
              ))}
            </select>
          ),
          lost: () => field('lost', say.t('screen.programs.field.lost')),
          days: () => field('plateau', say.t('screen.programs.field.plateau')),
        })}
        <select
          aria-label={say.t('screen.programs.whoMovesTheLadder')}
          className="field"
          value={typed.follow}
          onChange={(event) => choose({ follow: event.target.value as Course['follow'] })}
        >
          <option value="acts">{say.t('screen.programs.movesByItself')}</option>
          <option value="proposes">{say.t('screen.programs.waitsForMe')}</option>
        </select>
        <select
          aria-label={say.t('screen.programs.stoppedTries')}
          className="field"
          value={typed.stopped ?? 'usual'}
          onChange={(event) =>
            choose({
              stopped: STOPPED_TRIES.find((one) => one === event.target.value) ?? null,
            })
          }
        >
          {(['usual', ...STOPPED_TRIES] as const).map((one) => (
            <option key={one} value={one}>
              {say.t(`screen.programs.stopped.${one}`)}
            </option>
          ))}
        </select>
        <label className="ml-2 inline-flex items-baseline gap-1">
          <input
            type="checkbox"
            checked={typed.climb}
            onChange={(event) => {
              const climb = event.target.checked;
              choose(climb ? { climb, headStart: false } : { climb });
            }}
          />
          {say.t('screen.programs.climbToFindTheStart')}
        </label>
        {typed.climb && (
          <Numbers
            label={say.t('screen.programs.field.below')}
            value={typed.below}
            offered={BELOW}
            text={(rungs) => say.t('screen.programs.startBelow', { rungs })}
            onChoose={(below) => choose({ below })}
          />
        )}
        {waits && !typed.climb && (
          <label className="inline-flex items-baseline gap-1">
            <input
              type="checkbox"
              checked={typed.headStart}
              onChange={(event) => choose({ headStart: event.target.checked })}
            />
            {say.t('screen.programs.headStart')}
          </label>
        )}
        <Numbers
          label={say.t('screen.programs.field.away')}
          value={typed.away}
          offered={AWAY}
          none={say.t('screen.programs.howeverLongAway')}
          text={(days) =>
            say.t('screen.programs.afterAway', {
              days,
              waits: typed.follow === 'proposes' ? 'yes' : 'no',
            })
          }
          onChoose={(away) => choose({ away })}
        />
      </div>
      <Trouble issues={issues} />
      {kind !== 'stages' && <p className="mt-1 text-sm text-soft">{sayRungs(say, course)}</p>}
    </div>
  );
}

/** Days away, and rungs below, that are offered. */
const AWAY = [7, 10, 14, 21, 28] as const;
const BELOW = [1, 2, 3] as const;

/** Of how many of the last tries so many clean can be asked for, and what is chosen. */
function lastTries({ clean, of }: TypedCourse): readonly number[] {
  const least = Number(clean) + 1;
  const near = [0, 1, 2].map((more) => least + more).filter((tries) => tries <= MOST_LAST_TRIES);
  return [...new Set([...near, ...(of === '' ? [] : [Number(of)])])].sort((a, b) => a - b);
}

/** Words between fields. */
const WORD = { w: (text: React.ReactNode) => <span>{text}</span> };

function same(one: Course, other: Course): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}

type TextKey = {
  [Key in keyof TypedCourse]: TypedCourse[Key] extends string ? Key : never;
}[keyof TypedCourse];

/** What the fields of a kind begin with, where those of another would make no sense. */
const KIND_STARTS: Partial<Readonly<Record<LadderKind, Partial<TypedCourse>>>> = {
  percent: { step: '5' },
  hold: { slow: '70', start: '2', target: '8', step: '1' },
  fixed: { start: '60', target: '100', step: '5' },
  'two-up': { start: '60', target: '100', step: '5' },
  alternate: { slow: '60', start: '70', target: '100', step: '5' },
  ramp: { start: '60', target: '100', step: '5', every: '4' },
  list: { list: '100 80 110 120' },
};

/** Kinds that lead from a start to a target. */
const WAYS: readonly LadderKind[] = ['fixed', 'two-up', 'percent', 'alternate', 'ramp'];

/** What another kind of ladder keeps of what stands there: start and target, or its tempi written out. Null
 * where the kinds have nothing in common. */
function keptBy(typed: TypedCourse, next: LadderKind): Partial<TypedCourse> | null {
  if (next === 'list') {
    const made = makeCourse(typed);
    const list = made.ok ? typeCourse(made.value).list : '';
    return list === '' ? null : { list };
  }
  if (!WAYS.includes(typed.kind) || !WAYS.includes(next)) return null;
  const usual = Number(typed.target) < Number(typed.start) ? '-5' : '5';
  const otherUnit = (next === 'percent') !== (typed.kind === 'percent');
  return {
    ...(otherUnit && { step: usual }),
    ...(next === 'alternate' && { slow: KIND_STARTS.alternate?.slow }),
  };
}

/** The fields of one kind of ladder, as a sentence. */
function Way({
  kind,
  field,
}: {
  kind: LadderKind;
  field: (key: TextKey, label: string, wide?: boolean) => React.ReactNode;
}) {
  const { say } = useSpeech();
  if (kind === 'list') return field('list', say.t('screen.programs.field.tempos'), true);
  if (kind === 'stages') return field('slow', say.t('screen.programs.field.tempo'));
  if (kind === 'hold') {
    return say.t.rich('screen.programs.way.hold', {
      ...WORD,
      tempo: () => field('slow', say.t('screen.programs.field.tempo')),
      start: () => field('start', say.t('screen.programs.field.fromMinutes')),
      target: () => field('target', say.t('screen.programs.field.toMinutes')),
      step: () => field('step', say.t('screen.programs.field.step')),
    });
  }
  const way = kind === 'alternate' || kind === 'percent' || kind === 'ramp' ? kind : 'fixed';
  return say.t.rich(`screen.programs.way.${way}`, {
    ...WORD,
    slow: () => field('slow', say.t('screen.programs.field.slow')),
    start: () => field('start', say.t('screen.programs.field.start')),
    target: () => field('target', say.t('screen.programs.field.target')),
    step: () => field('step', say.t('screen.programs.field.step')),
    every: () => field('every', say.t('screen.programs.field.bars')),
  });
}
