'use client';

import { useState } from 'react';
import { sayCount, type Issue } from '@/core/issue';
import {
  DOSAGE_KINDS,
  makeCourse,
  MANNERS,
  rungsOf,
  typeCourse,
  type Course,
  type LadderKind,
  type Manner,
  type Stage,
  type TypedCourse,
} from '@/core/ladder';
import type { Tempo } from '@/core/time';
import { sayDosage, sayManner, sayRung, type Say } from '@/words';
import { Button, issuesAt, Trouble, useSpeech } from '../base';
import { TempoGlyph } from '../play';

const KINDS: Readonly<Record<LadderKind, string>> = {
  fixed: 'equal steps',
  percent: 'percent',
  'two-up': 'two up, one down',
  alternate: 'slow and fast in turn',
  hold: 'held longer and longer',
  list: 'by hand',
  ramp: 'ramp within a try',
  stages: 'practice steps',
};

/** Ladder, dosage and rule as words with fields in them. What is typed is kept, also when it cannot be
 * played; it is taken as soon as it can. */
export function CourseFields({
  course,
  tempo,
  steps,
  onSet,
}: {
  course: Course;
  tempo: Pick<Tempo, 'beatTicks'>;
  /** The steps in which this exercise is built; none where several are set at once. */
  steps?: () => readonly Stage[];
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
    const fresh = KIND_STARTS[next] ?? {};
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
          aria-label="Kind of ladder"
          className="field"
          value={kind}
          onChange={(event) => chooseKind(event.target.value as LadderKind)}
        >
          {Object.entries(KINDS).map(([value, text]) => (
            <option key={value} value={value}>
              {text}
            </option>
          ))}
        </select>
        <TempoGlyph tempo={tempo} size={14} />
        <Way kind={kind} field={field} />
        <span className="ml-3">each</span>
        {field('amount', 'Amount')}
        <select
          aria-label="Dosage"
          className="field"
          value={typed.dosage}
          onChange={(event) => choose({ dosage: event.target.value as TypedCourse['dosage'] })}
        >
          {DOSAGE_KINDS.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </select>
      </div>
      {kind === 'stages' && (
        <Stages stages={typed.stages} steps={steps} onSet={(stages) => choose({ stages })} />
      )}
      <div className="mt-1.5 flex flex-wrap items-baseline gap-x-1.5 gap-y-1.5">
        <span>up after</span>
        {field('clean', 'Clean tries to go up')}
        <span>clean, down after</span>
        {field('lost', 'Lost tries to go down')}
        <span>lost, stuck after</span>
        {field('plateau', 'Days without gain')}
        <span>days ·</span>
        <select
          aria-label="Who moves the ladder"
          className="field"
          value={typed.follow}
          onChange={(event) => choose({ follow: event.target.value as Course['follow'] })}
        >
          <option value="acts">moves by itself</option>
          <option value="proposes">waits for me</option>
        </select>
        <label className="ml-2 inline-flex items-baseline gap-1">
          <input
            type="checkbox"
            checked={typed.climb}
            onChange={(event) => choose({ climb: event.target.checked })}
          />
          climb to find the start
        </label>
      </div>
      <Trouble issues={issues} />
      {kind !== 'stages' && <p className="mt-1 text-sm text-soft">{sayRungs(say, course)}</p>}
    </div>
  );
}

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

/** The fields of one kind of ladder, as a sentence. */
function Way({
  kind,
  field,
}: {
  kind: LadderKind;
  field: (key: TextKey, label: string, wide?: boolean) => React.ReactNode;
}) {
  if (kind === 'list') return field('list', 'Tempi', true);
  if (kind === 'stages') return field('slow', 'Tempo');
  if (kind === 'hold') {
    return (
      <>
        {field('slow', 'Tempo')}
        <span>for</span>
        {field('start', 'From minutes')}
        <span>→</span>
        {field('target', 'To minutes')}
        <span>min by</span>
        {field('step', 'Step')}
      </>
    );
  }
  return (
    <>
      {kind === 'alternate' && (
        <>
          {field('slow', 'Slow tempo')}
          <span>and</span>
        </>
      )}
      {field('start', 'Start')}
      <span>→</span>
      {field('target', 'Target')}
      <span>by</span>
      {field('step', 'Step')}
      {kind === 'percent' && <span>%</span>}
      {kind === 'ramp' && (
        <>
          <span>every</span>
          {field('every', 'Bars a step')}
          <span>bars</span>
        </>
      )}
    </>
  );
}

/** Rungs that are not tempi, in order. */
function Stages({
  stages,
  steps,
  onSet,
}: {
  stages: readonly Stage[];
  steps: (() => readonly Stage[]) | undefined;
  onSet: (stages: Stage[]) => void;
}) {
  const { say } = useSpeech();
  return (
    <div className="mt-1.5">
      <ol aria-label="Rungs" className="list-decimal pl-6">
        {stages.map((stage, index) => {
          const says = stage.kind === 'step' ? stage.says : sayManner(say, stage.manner);
          return (
            <li key={index}>
              {says}{' '}
              <Button
                look="quiet"
                aria-label={`Leave out ${says}`}
                onClick={() => onSet(stages.filter((_, at) => at !== index))}
              >
                leave out
              </Button>
            </li>
          );
        })}
      </ol>
      <span className="flex items-center gap-2">
        {steps && <Button onClick={() => onSet([...steps()])}>its steps</Button>}
        <select
          aria-label="Add a rung"
          className="field"
          value=""
          onChange={(event) => {
            const manner = event.target.value as Manner;
            onSet([...stages, { kind: 'manner', manner }]);
          }}
        >
          <option value="" disabled>
            + rung
          </option>
          {MANNERS.map((id) => (
            <option key={id} value={id}>
              {sayManner(say, id)}
            </option>
          ))}
        </select>
      </span>
    </div>
  );
}

/** Most rungs that are written out. */
const MOST_RUNGS = 21;

/** All rungs of a ladder, or the first and last of many. */
export function sayRungs(say: Say, { ladder }: Course): string {
  const rungs = rungsOf(ladder).map((rung) => sayRung(say, rung.asks));
  const apart = isWordy(ladder) ? ' · ' : ' ';
  const shown =
    rungs.length <= MOST_RUNGS
      ? rungs.join(apart)
      : `${rungs.slice(0, 8).join(apart)} … ${rungs.slice(-3).join(apart)}`;
  return `${sayCount(rungs.length, 'rung')}: ${shown}`;
}

/** Whether its rungs are more than tempos. */
function isWordy(ladder: Course['ladder']): boolean {
  return rungsOf(ladder).some(({ asks }) => asks.kind !== 'tempo');
}

/** Rungs that fit on one line. */
const MOST_IN_LINE = 12;

/** A course in one line: its rungs, dosage and rule.
 * @example '60 65 70 75 80, 5 minutes each, up after 3 clean' */
export function sayCourse(say: Say, { ladder, dosage, rule, follow }: Course): string {
  const rungs = rungsOf(ladder);
  const says = rungs.map((rung) => sayRung(say, rung.asks));
  const [apart, most] = isWordy(ladder) ? [' · ', 4] : [' ', MOST_IN_LINE];
  const way =
    rungs.length <= most
      ? says.join(apart)
      : `${says.slice(0, most / 2).join(apart)} … ${says.at(-1)} (${rungs.length} rungs)`;
  const each = rungs[0]?.dosage ? '' : `, ${sayDosage(say, dosage)} each`;
  return `${way}${each}, up after ${rule.clean} clean${follow === 'proposes' ? ', waits for me' : ''}`;
}
