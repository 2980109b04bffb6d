'use client';

import { useDeferredValue, useMemo, useRef } from 'react';
import type { Limb } from '@/core/kit';
import type { Loop } from '@/core/playing';
import { asDrawn, type Exercise } from '@/core/recipe';
import { useSpeech } from '../base';
import { holdsMarks, systemsOf, type Shows } from './columns';
import type { Editing } from './editing';
import { Lanes } from './lanes';
import type { Subscribe } from './playhead';
import type { RowKind } from './rows';
import type { StaffRows } from '@/core/notation';
import { LoopDrag } from './loop-drag';
import { useEngraver } from './use-engraver';
import { useSize } from './use-size';

const GUTTER = 128;

/** Kept free for clef and meter where there are no names of rows. */
const STAFF_GUTTER = 56;

const START = { width: 860, height: 0 };

/** An exercise in systems: lanes, the staff, or both in the same columns. Bars that do not fit are broken in two. */
export function ScoreSheet({
  exercise: written,
  rows = 'voices',
  shows = 'both',
  staffRows,
  legend = false,
  subscribe,
  muted,
  editing,
  loop = null,
  onLoop,
}: {
  exercise: Exercise;
  rows?: RowKind;
  shows?: Shows;
  /** What stands around the notes of the staff. */
  staffRows?: StaffRows;
  /** Tells where each voice stands on the staff. */
  legend?: boolean;
  subscribe?: Subscribe;
  muted?: ReadonlySet<Limb>;
  editing?: Editing;
  /** What goes round. */
  loop?: Loop | null;
  /** Slots that are dragged over go round. */
  onLoop?: (loop: Loop) => void;
}) {
  const place = useRef<HTMLDivElement>(null);
  const { width } = useSize(place, START);
  const { say, syllables } = useSpeech();
  const slot = editing?.slot;
  // Written on, each note stays in the slot that it was written in.
  const exercise = editing ? written : asDrawn(written);
  const { engraver, failed } = useEngraver(shows !== 'lanes');
  const systems = useMemo(() => {
    const sheet = {
      width,
      gutter: shows === 'staff' ? STAFF_GUTTER : GUTTER,
      slot,
      shows,
      engraver,
      count: staffRows?.count ? syllables : null,
    };
    const whole = systemsOf(exercise, sheet);
    if (holdsMarks(exercise, whole, 1, sheet)) return whole;
    return systemsOf(exercise, { ...sheet, halves: true });
  }, [exercise, width, slot, shows, engraver, staffRows?.count, syllables]);
  // The lanes follow the hand at once, the staff when there is time.
  const late = useDeferredValue(useMemo(() => ({ exercise, systems }), [exercise, systems]));
  return (
    <div ref={place} className="flex flex-col gap-3 overflow-x-clip">
      {systems.map((system, index) => {
        const drawn = (
          <>
            {(shows !== 'staff' || failed) && (
              <Lanes {...{ exercise, system, rows, subscribe, muted, editing }} />
            )}
            {engraver && late.systems[index] && (
              <engraver.Staff
                exercise={late.exercise}
                system={late.systems[index]}
                first={index === 0}
                rows={staffRows}
                subscribe={shows === 'staff' ? subscribe : undefined}
              />
            )}
          </>
        );
        if (!onLoop) return <div key={index}>{drawn}</div>;
        return (
          <LoopDrag key={index} {...{ exercise, system, loop, onLoop }}>
            {drawn}
          </LoopDrag>
        );
      })}
      {engraver && legend && <engraver.Legend exercise={exercise} />}
      {failed && (
        <p className="text-sm text-soft">{say.t('screen.common.theStaffCouldNotBeDrawn')}</p>
      )}
    </div>
  );
}
