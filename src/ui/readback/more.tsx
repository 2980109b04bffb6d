'use client';

import { disguiseOf, type Readback } from '@/core/analysis';
import type { Exercise } from '@/core/recipe';
import { quarters } from '@/core/time';
import { useEffect, useState } from 'react';
import { sayCue, sayLimb, sayNote, type Say } from '@/words';
import { useSpeech, Link } from '../base';
import { LimbSign } from '../marks';
import { useShelf } from '../library';
import { LOUD, Part, sayPlaces } from './part';

/** Most leads that are written one by one. */
const MOST_LEADS = 16;

/** Which hand leads each cell and bar, and which would follow. */
export function LeadsText({ readback }: { readback: Readback }) {
  const { say } = useSpeech();
  const { leads } = readback;
  if (!leads) return null;
  const list = (all: readonly (string | null)[]) =>
    all
      .slice(0, MOST_LEADS)
      .map((one) => one ?? '–')
      .join(' ') + (all.length > MOST_LEADS ? ' …' : '');
  return (
    <p className="text-sm text-soft" data-testid="leads">
      {say.t('screen.bench.ledBy', {
        cells: list(leads.cells),
        several: leads.bars.length > 1 ? 'yes' : 'no',
        bars: list(leads.bars),
        next: leads.next ?? 'none',
      })}
    </p>
  );
}

/** A pulse that is felt against the meter's own. */
export function FeltText({ readback }: { readback: Readback }) {
  const { say } = useSpeech();
  return readback.felt.map(({ limb, ratio: [felt, real], bpm }) => (
    <p key={limb} className="text-sm" data-testid="felt">
      {say.t('screen.bench.felt', {
        limb: sayLimb(say, limb),
        bpm: Math.round(bpm * 10) / 10,
        felt,
        real,
      })}
    </p>
  ));
}

/** One to three things to watch for. */
export function Cues({ readback, meter }: { readback: Readback; meter: string }) {
  const { say } = useSpeech();
  if (readback.cues.length === 0) return null;
  return (
    <Part label={say.t('screen.bench.watchForCapital')}>
      <ul className="flex flex-col gap-0.5" data-testid="cues">
        {readback.cues.map((cue) => (
          <li key={cue.kind}>{sayCue(say, cue, meter)}</li>
        ))}
      </ul>
    </Part>
  );
}

/** How strongly each limb plays against the meter. */
export function SyncopationList({
  exercise,
  readback,
}: {
  exercise: Exercise;
  readback: Readback;
}) {
  const { say } = useSpeech();
  const against = readback.syncopation.filter(({ value }) => value > 0);
  if (against.length === 0) return <p>{say.t('screen.common.nothing')}</p>;
  return (
    <ul className="flex flex-col gap-0.5" data-testid="syncopation">
      {against.map(({ limb, value, places }) => (
        <li key={limb} className="flex items-baseline gap-2">
          <LimbSign limb={limb} />
          <span>
            {say.t.rich('screen.bench.valueOn', {
              ...LOUD,
              value,
              places: sayPlaces(
                say,
                places.map(({ at }) => quarters(at, quarters(1))),
                exercise,
              ),
            })}
          </span>
        </li>
      ))}
    </ul>
  );
}

/** A saved exercise that is this one in disguise. */
export function SameAs({ id: self, exercise }: { id: string | null; exercise: Exercise }) {
  const { findSame } = useShelf();
  const { say } = useSpeech();
  const [same, setSame] = useState<Awaited<ReturnType<typeof findSame>>>([]);
  useEffect(() => {
    let current = true;
    const late = setTimeout(() => {
      void findSame(exercise).then((found) => current && setSame(found));
    }, LOOK_AFTER_MS);
    return () => {
      current = false;
      clearTimeout(late);
    };
  }, [exercise, findSame]);
  const found = same.flatMap(({ id, name, exercise: other }) => {
    const disguise = id === self ? null : disguiseOf(exercise, other);
    return disguise ? [{ id, name, disguise }] : [];
  });
  if (found.length === 0) return null;
  return (
    <Part label={say.t('screen.bench.sameAs')}>
      <ul data-testid="same-as">
        {found.map(({ id, name, disguise }) => (
          <li key={id}>
            <Link href={`/bench?x=${id}`} className="underline decoration-line underline-offset-3">
              {name}
            </Link>
            {disguise.kind === 'limbs' && `, ${say.t('screen.bench.byOtherLimbs')}`}
            {disguise.laterTicks > 0 && `, ${sayLater(say, disguise.laterTicks)}`}
          </li>
        ))}
      </ul>
    </Part>
  );
}

/** Typing is not followed letter by letter. */
const LOOK_AFTER_MS = 400;

function sayLater(say: Say, ticks: number): string {
  const whole = ([4, 8, 16] as const).find((value) =>
    Number.isInteger((ticks * value) / quarters(4)),
  );
  if (!whole) {
    return say.t('screen.bench.partOfQuarterLater', {
      part: Math.round((ticks / quarters(1)) * 100) / 100,
      quarter: sayNote(say, '4'),
    });
  }
  const notes = say.t(`notes.${say.notes}.${whole}`, { count: (ticks * whole) / quarters(4) });
  return say.t('screen.bench.later', { notes });
}
