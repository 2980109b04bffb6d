'use client';

import { useMemo, useState } from 'react';
import {
  countPlacements,
  placementGrid,
  placements,
  placementSlots,
  type PlacementRule,
} from '@/core/placement';
import type { Change } from '@/core/recipe';
import { slotTicks, TICKS_PER_QUARTER } from '@/core/time';
import { PlayedBy, Row, Slots, Toggle } from './change-parts';
import { Stepper } from './phrase-parts';

type Place = Extract<Change, { kind: 'place' }>;

const SPACINGS = {
  any: 'anywhere',
  adjacent: 'next to each other',
  apart: 'never next to each other',
  even: 'as even as can be',
} as const;

const SPANS = { beat: 'each beat', two: 'two beats', bar: 'four beats' } as const;
const LEVELS = { ghost: 'ghosts', normal: 'normal', accent: 'accents' } as const;

type Level = keyof typeof LEVELS;

/** Placements that are shown to choose from; more are narrowed first. */
const MOST_SHOWN = 60;

/** So many notes in each span: every placement is counted, and any of them is a touch away. */
export function PlaceDetails({
  change,
  onChange,
}: {
  change: Place;
  onChange: (change: Place) => void;
}) {
  const [spacing, setSpacing] = useState<keyof typeof SPACINGS>('any');
  const [offBeats, setOffBeats] = useState(false);
  const placed = placementSlots(change.grid);
  const slots = change.grid.length;
  const level: Level = change.grid.includes('g')
    ? 'ghost'
    : change.grid.includes('X')
      ? 'accent'
      : 'normal';
  const rule = useMemo((): PlacementRule => {
    const between = Array.from({ length: slots }, (_, slot) => slot).filter((slot) => slot % 2);
    return {
      slots,
      least: placed.length,
      most: placed.length,
      spacing,
      cyclic: true,
      ...(offBeats ? { free: between } : {}),
    };
  }, [slots, placed.length, spacing, offBeats]);
  const grids = useMemo(
    () => firstOf(placements(rule), MOST_SHOWN).map((one) => placementGrid(one, slots, level)),
    [rule, slots, level],
  );
  const count = countPlacements(rule);
  const beat = Math.max(1, Math.round(TICKS_PER_QUARTER / slotTicks(change.slot)));
  const span = slots === beat ? 'beat' : slots === beat * 2 ? 'two' : 'bar';

  const begin = (notes: number, length: number, next: Partial<Place> = {}) => {
    const first = Array.from({ length: Math.min(notes, length) }, (_, slot) => slot);
    onChange({ ...change, ...next, grid: placementGrid(first, length, level) });
  };

  return (
    <>
      <PlayedBy
        row="Add"
        label="Added"
        value={change.to}
        onChange={(to) => onChange({ ...change, to })}
      />
      <Row label="Notes">
        <Stepper
          label="Notes"
          value={placed.length}
          onChange={(notes) => begin(Math.max(1, notes), slots)}
        />
        in
        <Toggle
          label="Span"
          bare
          options={SPANS}
          value={span}
          onChoose={(next) =>
            begin(placed.length, beat * (next === 'beat' ? 1 : next === 'two' ? 2 : 4))
          }
        />
      </Row>
      <Row label="Grid">
        <Slots
          value={change.slot}
          onChoose={(slot) => {
            const parts = Math.max(1, Math.round(TICKS_PER_QUARTER / slotTicks(slot)));
            begin(placed.length, parts * (slots / beat), { slot });
          }}
        />
      </Row>
      <Toggle label="Spacing" options={SPACINGS} value={spacing} onChoose={setSpacing} />
      <Toggle
        label="Slots"
        options={{ all: 'all', between: 'in between only' }}
        value={offBeats ? 'between' : 'all'}
        onChoose={(next) => setOffBeats(next === 'between')}
      />
      <Toggle
        label="Level"
        options={LEVELS}
        value={level}
        onChoose={(next) => onChange({ ...change, grid: placementGrid(placed, slots, next) })}
      />
      <Row label={`${count} ways`}>
        <div
          role="group"
          aria-label="Placements"
          className="grid max-h-48 max-w-[30rem] grid-cols-3 gap-1 overflow-y-auto"
        >
          {grids.map((grid) => (
            <button
              key={grid}
              type="button"
              aria-pressed={grid === change.grid}
              className="rounded-sm border border-line px-2 py-0.5 font-mono text-sm tracking-widest aria-pressed:bg-ink aria-pressed:text-paper"
              onClick={() => onChange({ ...change, grid })}
            >
              {grid}
            </button>
          ))}
        </div>
        {count > grids.length && (
          <p className="text-sm text-soft">the first {grids.length}; narrow them for the others</p>
        )}
      </Row>
    </>
  );
}

function firstOf<T>(all: Iterable<T>, most: number): readonly T[] {
  const found: T[] = [];
  for (const one of all) {
    if (found.length >= most) break;
    found.push(one);
  }
  return found;
}
