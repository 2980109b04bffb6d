'use client';

import { useId, type ReactNode } from 'react';
import { type Exercise } from '@/core/recipe';
import type { Tick } from '@/core/time';
import { type Asked, type DerivedPart, type Say, sayDerivation, sayPlaceIn } from '@/words';
import { Pop, PopRoot, PopTrigger, useSpeech } from '../base';

/** A part of the readback with its word in the margin; where it can be worked out by hand, the word
 * shows how. */
export function Part({
  label,
  how,
  list,
  children,
}: {
  label: string;
  how?: Asked & { readonly part: DerivedPart };
  /** What the map stands for, in full. */
  list?: ReactNode;
  children: ReactNode;
}) {
  const id = useId();
  return (
    <div role="group" aria-labelledby={id} className="flex gap-3">
      <h2 id={id} className="label w-16 shrink-0 pt-0.5">
        {how ? <How label={label} list={list} {...how} /> : label}
      </h2>
      <div className="min-w-0 flex-1">{children}</div>
    </div>
  );
}

function How({
  label,
  list,
  part,
  ...asked
}: Asked & {
  readonly label: string;
  readonly list: ReactNode;
  readonly part: DerivedPart;
}) {
  const { say } = useSpeech();
  return (
    <PopRoot>
      <PopTrigger
        className="text-left underline decoration-line decoration-dotted underline-offset-4 hover:text-ink"
        title={say.t('screen.bench.howItComesAbout', {
          label: label.toLocaleLowerCase(say.locale),
        })}
      >
        {label}
      </PopTrigger>
      <Pop side="left" sideOffset={8} className="max-w-md p-3">
        {list && <div className="mb-2 border-b border-faint pb-2 text-sm">{list}</div>}
        <ol className="flex max-h-[60vh] flex-col gap-0.5 overflow-y-auto text-sm leading-5">
          {sayDerivation(say, part, asked).map((line, index) => (
            <li key={index}>{line}</li>
          ))}
        </ol>
      </Pop>
    </PopRoot>
  );
}

/** Most places that are listed one by one. */
export const MOST_PLACES = 8;

/** Places of the cycle, with their bar where there are several; long lists are cut. */
export function sayPlaces(say: Say, places: readonly Tick[], exercise: Exercise): string {
  const said = places
    .slice(0, MOST_PLACES)
    .map((at) => sayPlaceIn(say, at, exercise))
    .join(', ');
  const more = places.length - MOST_PLACES;
  return more > 0 ? say.t('screen.bench.placesMore', { places: said, more }) : said;
}

/** What stands out in a line of the readback, and what steps back. */
export const LOUD = {
  b: (text: ReactNode) => <b>{text}</b>,
  soft: (text: ReactNode) => <span className="text-soft">{text}</span>,
};
