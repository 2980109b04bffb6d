'use client';

import { useMemo, useRef } from 'react';
import { asDrawn, type Exercise } from '@/core/recipe';
import type { Syllables } from '@/core/time';
import { useSpeech } from '../base';
import {
  Lanes,
  lanesHeight,
  holdsMarks,
  systemsOf,
  useEngraver,
  useSize,
  type Engraver,
  type Shows,
  type StaffRows,
  type Subscribe,
  type System,
} from '../marks';
import { systemsInView } from './in-view';
import type { Written } from './kept';

const LARGEST = 3.2;
const SMALLEST = 0.8;
const STEP = 0.2;
const NAMES = 96;

/** Clef and meter. */
const HEAD = 56;

/** Marks of this size can still be read with sticks in the hands; common practice, no source. */
const LEAST_WHILE_PLAYING = 1.4;

/** The pattern as large as its place allows; bars break in two where that makes them larger. While it plays,
 * the systems that sound now and next are shown where all would be too small.
 * @param at what sounds, in ticks of the cycle; null while nothing does */
export function Pattern({
  exercise: played,
  written: { shows: wanted, count, sticking },
  at,
  subscribe,
}: {
  exercise: Exercise;
  written: Written;
  at: number | null;
  subscribe?: Subscribe;
}) {
  const place = useRef<HTMLDivElement>(null);
  const exercise = asDrawn(played);
  const { width, height } = useSize(place, { width: 1200, height: 400 });
  const playing = at !== null;
  const { engraver, failed } = useEngraver(wanted !== 'lanes');
  const shows = failed ? 'lanes' : wanted;
  const rows = useMemo(
    () => ({ count: count && shows === 'staff', sticking }),
    [count, sticking, shows],
  );
  const { syllables } = useSpeech();
  const { systems, scale, room } = useMemo(() => {
    const counted = rows.count ? syllables : null;
    return fit({ exercise, shows, rows, engraver, count: counted, width, height }, playing);
  }, [exercise, shows, rows, engraver, syllables, width, height, playing]);
  const shown = systemsInView(systems, exercise, at ?? 0, room);
  return (
    <div
      ref={place}
      className={playing ? 'min-h-0 flex-1 overflow-hidden' : 'min-h-0 flex-1 overflow-y-auto'}
    >
      <div className="flex min-h-full flex-col justify-center" style={{ gap: GAP * scale }}>
        {shown.map((index) => {
          const system = systems[index];
          if (!system) return null;
          return (
            <div key={index}>
              {shows !== 'staff' && (
                <Lanes {...{ exercise, system, subscribe, scale }} rows="voices" />
              )}
              {engraver && (
                <engraver.Staff
                  {...{ exercise, system, scale, rows }}
                  first={index === 0}
                  subscribe={shows === 'staff' ? subscribe : undefined}
                />
              )}
            </div>
          );
        })}
      </div>
    </div>
  );
}

const GAP = 12;

interface Fit {
  readonly systems: readonly System[];
  readonly scale: number;
  /** How many systems are shown at once. */
  readonly room: number;
}

/** The largest size at which all can be seen; while playing, at which two systems can where all would be too
 * small, or one. */
function fit(place: Place, playing: boolean): Fit {
  const all = largest(place, playing ? LEAST_WHILE_PLAYING : SMALLEST, Infinity);
  if (all) return all;
  const window = playing ? (largest(place, SMALLEST, 2) ?? largest(place, SMALLEST, 1)) : null;
  if (window) return window;
  const systems = systemsAt(place, SMALLEST, place.width < 700);
  return { systems, scale: SMALLEST, room: playing ? 1 : systems.length };
}

interface Place {
  readonly exercise: Exercise;
  readonly shows: Shows;
  readonly rows: StaffRows;
  /** Null until it is there, and where no staff is wanted. */
  readonly engraver: Engraver | null;
  readonly count: Syllables | null;
  readonly width: number;
  readonly height: number;
}

/** How high a system is. */
function systemHeight({ exercise, shows, rows, engraver }: Place, scale: number): number {
  const lanes = shows === 'staff' ? 0 : lanesHeight(exercise, 'voices', scale);
  return lanes + (engraver ? engraver.staffHeight(exercise, rows, scale) : 0);
}

function largest(place: Place, least: number, most: number): Fit | null {
  const { exercise, height } = place;
  for (let scale = LARGEST; scale >= least - STEP / 2; scale -= STEP) {
    for (const halves of [false, true]) {
      const systems = systemsAt(place, scale, halves);
      const room = Math.min(most, systems.length);
      const tall = room * (systemHeight(place, scale) + GAP * scale);
      if (tall <= height && holdsMarks(exercise, systems, scale, place))
        return { systems, scale, room };
    }
  }
  return null;
}

function systemsAt(place: Place, scale: number, halves: boolean) {
  const { exercise, shows, engraver, count, width } = place;
  return systemsOf(exercise, {
    count,
    width,
    gutter: (shows === 'staff' ? HEAD : NAMES) * scale,
    scale,
    halves,
    shows,
    engraver,
  });
}
