'use client';

import { Popover } from 'radix-ui';
import { useId, type ReactNode } from 'react';
import { placeName, type Exercise } from '@/core/recipe';
import type { Syllables, Tick } from '@/core/time';
import { sayDerivation, type Asked, type DerivedPart } from '@/words';
import { useSpeech } from '../base';

/** A part of the readback with its word in the margin; where it can be worked out by hand, the word
 * shows how. */
export function Part({
  label,
  how,
  children,
}: {
  label: string;
  how?: Asked & { readonly part: DerivedPart };
  children: ReactNode;
}) {
  const id = useId();
  return (
    <div role="group" aria-labelledby={id} className="flex gap-3">
      <h2 id={id} className="label w-16 shrink-0 pt-0.5">
        {how ? <How label={label} {...how} /> : label}
      </h2>
      <div className="min-w-0 flex-1">{children}</div>
    </div>
  );
}

function How({
  label,
  part,
  ...asked
}: Asked & {
  readonly label: string;
  readonly part: DerivedPart;
}) {
  const { say, words } = useSpeech();
  return (
    <Popover.Root>
      <Popover.Trigger
        className="text-left underline decoration-line decoration-dotted underline-offset-4 hover:text-ink"
        title={`How ${label.toLowerCase()} comes about`}
      >
        {label}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content align="start" side="left" sideOffset={8} className="pop max-w-md p-3">
          <ol className="flex max-h-[60vh] flex-col gap-0.5 overflow-y-auto text-sm leading-5">
            {sayDerivation(say, part, asked).map((line, index) => (
              <li key={index}>{words(line)}</li>
            ))}
          </ol>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** Most places that are listed one by one. */
export const MOST_PLACES = 8;

/** Places of the cycle, with their bar where there are several; long lists are cut. */
export function sayPlaces(
  places: readonly Tick[],
  exercise: Exercise,
  syllables?: Syllables,
): string {
  const said = places.slice(0, MOST_PLACES).map((at) => placeName(at, exercise, syllables));
  const more = places.length - said.length;
  return said.join(', ') + (more > 0 ? ` and ${more} more` : '');
}
