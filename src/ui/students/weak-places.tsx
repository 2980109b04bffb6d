'use client';

import { Play, Square } from 'lucide-react';
import { useState } from 'react';
import { must } from '@/core/issue';
import type { Limb } from '@/core/kit';
import { expand } from '@/core/recipe';
import type { ItemId, WeakPlace } from '@/core/studio';
import { bpm } from '@/core/time';
import { sayBand, sayStepPlace } from '@/words';
import { Button, useSpeech } from '../base';
import { LimbSign } from '../marks';
import { useHear } from '../play';
import { RecipeLink } from '../shell/recipe-link';

/** Weak crossings that are shown. */
const MOST = 5;

/** Tempo at which a bridge is heard. */
const HEAR_BPM = bpm(60);

/** Where this student's tries break: from which limbs to which, how often, and the loop that mends
 * it. */
export function WeakPlaces({
  weak,
  onItem,
}: {
  weak: readonly WeakPlace[];
  onItem: (id: ItemId) => void;
}) {
  const { say } = useSpeech();
  const { heard, hear } = useHear<string>(HEAR_BPM);
  const [all, setAll] = useState(false);
  const rows = all ? weak : weak.slice(0, MOST);
  return (
    <section aria-labelledby="weak-title">
      <h2 id="weak-title" className="label mb-1">
        {say.t('screen.students.whereItBreaks')}
      </h2>
      {weak.length === 0 ? (
        <p className="text-sm text-soft">{say.t('screen.students.noPlaceStandsOutYet')}</p>
      ) : (
        <ul className="border-t border-line">
          {rows.map((place) => {
            const { count, loop } = place;
            const playing = heard === count.key;
            return (
              <li key={count.key} className="border-b border-line py-1.5">
                <div className="flex items-center gap-2">
                  <Limbs limbs={count.from} />
                  <span aria-hidden>→</span>
                  <Limbs limbs={count.to} />
                  <span className="ml-auto text-sm">
                    {say.t('screen.students.brokeOf', {
                      breaks: count.breaks,
                      all: count.breaks + count.passes,
                    })}
                  </span>
                </div>
                <p className="text-sm text-soft">
                  {say.t.rich('screen.students.breaksIn', {
                    place: sayStepPlace(say, place.place),
                    name: place.name,
                    gaps: sayBand(say, count.band),
                    item: (text) => (
                      <button
                        type="button"
                        className="underline"
                        onClick={() => onItem(place.item)}
                      >
                        {text}
                      </button>
                    ),
                  })}
                </p>
                <span className="mt-1 flex gap-2">
                  <Button
                    aria-pressed={playing}
                    aria-label={say.t(
                      playing ? 'screen.students.stopBridge' : 'screen.students.hearBridge',
                      { place: sayStepPlace(say, place.place) },
                    )}
                    onClick={() => hear(count.key, must(expand(loop)))}
                  >
                    {playing ? <Square size={13} aria-hidden /> : <Play size={13} aria-hidden />}
                    {playing
                      ? say.t('screen.common.stopCapital')
                      : say.t('screen.students.hearTheBridge')}
                  </Button>
                  <RecipeLink look="quiet" recipe={loop}>
                    {say.t('screen.common.toTheBench')}
                  </RecipeLink>
                </span>
              </li>
            );
          })}
        </ul>
      )}
      {!all && weak.length > rows.length && (
        <Button look="quiet" onClick={() => setAll(true)}>
          {say.t('screen.students.all', { count: weak.length })}
        </Button>
      )}
    </section>
  );
}

function Limbs({ limbs }: { limbs: readonly Limb[] }) {
  return (
    <span className="inline-flex gap-1">
      {limbs.map((limb) => (
        <LimbSign key={limb} limb={limb} />
      ))}
    </span>
  );
}
