'use client';

import { disguiseOf, type Readback } from '@/core/analysis';
import type { Exercise } from '@/core/recipe';
import { limbName } from '@/core/kit';
import { quarters } from '@/core/time';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import { sayCue } from '@/words';
import { useSpeech } from '../base';
import { LimbSign } from '../marks';
import { useShelf } from './library';
import { Part, sayPlaces } from './readback-part';

/** Most leads that are written one by one. */
const MOST_LEADS = 16;

/** Which hand leads each cell and bar, and which would follow. */
export function LeadsText({ readback }: { readback: Readback }) {
  const { leads } = readback;
  if (!leads) return null;
  const say = (list: readonly (string | null)[]) =>
    list
      .slice(0, MOST_LEADS)
      .map((one) => one ?? '–')
      .join(' ') + (list.length > MOST_LEADS ? ' …' : '');
  return (
    <p className="text-sm text-soft" data-testid="leads">
      led by {say(leads.cells)}
      {leads.bars.length > 1 && <>, bars {say(leads.bars)}</>}
      {leads.next && <>; {leads.next} follows</>}
    </p>
  );
}

/** A pulse that is felt against the meter's own. */
export function FeltText({ readback }: { readback: Readback }) {
  return readback.felt.map(({ limb, ratio: [felt, real], bpm }) => (
    <p key={limb} className="text-sm" data-testid="felt">
      The {limbName(limb)} is felt at {Math.round(bpm * 10) / 10}: {felt} felt bars are {real} real{' '}
      {real === 1 ? 'one' : 'ones'}.
    </p>
  ));
}

/** One to three things to watch for. */
export function Cues({ readback, meter }: { readback: Readback; meter: string }) {
  const { say, words } = useSpeech();
  if (readback.cues.length === 0) return null;
  return (
    <Part label="Watch for">
      <ul className="flex flex-col gap-0.5" data-testid="cues">
        {readback.cues.map((cue) => (
          <li key={cue.kind}>{words(sayCue(say, cue, meter))}</li>
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
  const { syllables } = useSpeech();
  const against = readback.syncopation.filter(({ value }) => value > 0);
  if (against.length === 0) return <p>nothing</p>;
  return (
    <ul className="flex flex-col gap-0.5" data-testid="syncopation">
      {against.map(({ limb, value, places }) => (
        <li key={limb} className="flex items-baseline gap-2">
          <LimbSign limb={limb} />
          <span>
            <b>{value}</b> <span className="text-soft">on</span>{' '}
            {sayPlaces(
              places.map(({ at }) => quarters(at, quarters(1))),
              exercise,
              syllables,
            )}
          </span>
        </li>
      ))}
    </ul>
  );
}

/** A saved exercise that is this one in disguise. */
export function SameAs({ id: self, exercise }: { id: string | null; exercise: Exercise }) {
  const { findSame } = useShelf();
  const { words } = useSpeech();
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
    <Part label="Same as">
      <ul data-testid="same-as">
        {found.map(({ id, name, disguise }) => (
          <li key={id}>
            <Link href={`/bench?x=${id}`} className="underline decoration-line underline-offset-3">
              {name}
            </Link>
            {disguise.kind === 'limbs' && ', by other limbs'}
            {disguise.laterTicks > 0 && `, ${words(sayLater(disguise.laterTicks))} later`}
          </li>
        ))}
      </ul>
    </Part>
  );
}

/** Typing is not followed letter by letter. */
const LOOK_AFTER_MS = 400;

function sayLater(ticks: number): string {
  const sixteenths = ticks / quarters(1, 4);
  if (sixteenths % 4 === 0) return sixteenths === 4 ? 'a quarter' : `${sixteenths / 4} quarters`;
  if (sixteenths % 2 === 0) return sixteenths === 2 ? 'an 8th' : `${sixteenths / 2} 8ths`;
  if (Number.isInteger(sixteenths)) return sixteenths === 1 ? 'a 16th' : `${sixteenths} 16ths`;
  return `${Math.round((ticks / quarters(1)) * 100) / 100} of a quarter`;
}
