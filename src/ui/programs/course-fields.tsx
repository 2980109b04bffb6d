'use client';

import { sayCount } from '@/core/issue';
import { useId, useRef, useState } from 'react';
import type { Issue, Result } from '@/core/issue';
import {
  leastMinutes,
  rungsOf,
  typeCourse,
  type Course,
  type Dosage,
  type TypedCourse,
} from '@/core/ladder';

import type { Tempo } from '@/core/time';
import { attempt, issuesAt, Trouble } from '../base';
import { TempoGlyph } from '../play';

/** Ladder, dosage and rule of one item, as words with fields in them. What is typed is kept, also
 * when it cannot be played; it is stored as soon as it can. */
export function CourseFields({
  course,
  tempo,
  save,
}: {
  course: Course;
  tempo: Pick<Tempo, 'beatTicks'>;
  save: (typed: TypedCourse) => Promise<Result<Course>>;
}) {
  const [typed, setTyped] = useState(typeCourse(course));
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [status, setStatus] = useState('');
  const stored = useRef(JSON.stringify(typeCourse(course)));

  async function store(next: TypedCourse) {
    if (JSON.stringify(next) === stored.current) return;
    setStatus('Saving…');
    const answer = await attempt(() => save(next));
    if (answer === null) return setStatus('Not saved: no connection. Change a field to retry.');
    setIssues(answer.ok ? [] : answer.issues);
    setStatus(answer.ok ? 'Saved' : '');
    if (answer.ok) stored.current = JSON.stringify(next);
  }

  const field = (key: keyof TypedCourse, label: string) => (
    <NumberField
      label={label}
      value={typed[key]}
      invalid={issuesAt(issues, key).length > 0}
      onChange={(text) => setTyped({ ...typed, [key]: text })}
      onDone={() => void store(typed)}
    />
  );

  return (
    <div className="text-[0.95rem]">
      <div className="flex flex-wrap items-baseline gap-x-1.5 gap-y-1">
        <TempoGlyph tempo={tempo} size={14} />
        {field('start', 'Start')}
        <span>→</span>
        {field('target', 'Target')}
        <span>by</span>
        {field('step', 'Step')}
        <span className="ml-3">each</span>
        {field('amount', 'Amount')}
        <select
          aria-label="Dosage"
          className="field"
          value={typed.dosage}
          onChange={(event) => {
            const next = { ...typed, dosage: event.target.value as Dosage['kind'] };
            setTyped(next);
            void store(next);
          }}
        >
          <option value="minutes">minutes</option>
          <option value="repetitions">repetitions</option>
          <option value="bars">bars</option>
        </select>
        <span className="ml-3" />
        {field('clean', 'Clean tries to go up')}
        <span>clean up,</span>
        {field('lost', 'Lost tries to go down')}
        <span>lost down</span>
        <span role="status" className="ml-2 text-sm text-soft">
          {status}
        </span>
      </div>
      <Trouble issues={issues} />
      <p className="mt-1 text-sm text-soft">{sayLadder(course)}</p>
    </div>
  );
}

/** Most rungs that are written out. */
const MOST_RUNGS = 14;

function sayLadder({ ladder, rule, dosage }: Course): string {
  const rungs = rungsOf(ladder);
  const shown =
    rungs.length <= MOST_RUNGS
      ? rungs.join(' ')
      : `${rungs.slice(0, 6).join(' ')} … ${rungs.slice(-3).join(' ')}`;
  const least = leastMinutes(ladder, rule, dosage);
  return `${sayCount(rungs.length, 'rung')}: ${shown}${least === null ? '' : ` · at least ${least} min`}`;
}

function NumberField({
  label,
  value,
  invalid,
  onChange,
  onDone,
}: {
  label: string;
  value: string;
  invalid: boolean;
  onChange: (text: string) => void;
  onDone: () => void;
}) {
  const id = useId();
  return (
    <input
      id={id}
      aria-label={label}
      title={label}
      inputMode="decimal"
      className="field w-11 text-center font-semibold"
      value={value}
      aria-invalid={invalid}
      onChange={(event) => onChange(event.target.value)}
      onBlur={onDone}
      onKeyDown={(event) => event.key === 'Enter' && onDone()}
    />
  );
}
