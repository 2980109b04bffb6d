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
import { sayEach } from '@/words';
import { Button, useSpeech } from '../base';
import { PlayedBy, Row, Slots, Toggle } from './change-parts';
import { Stepper } from './phrase-parts';

type Place = Extract<Change, { kind: 'place' }>;

/** Every placement that a rule allows. */
export interface PlacementRange extends Pick<PlacementRule, 'slots' | 'least' | 'most'> {
  readonly kind: 'placements';
  readonly change: Place;
  readonly spacing: PlacementRule['spacing'];
  readonly free?: readonly number[];
}

const SPACINGS = {
  any: 'screen.bench.anywhere',
  adjacent: 'screen.bench.nextToEachOther',
  apart: 'screen.bench.neverNextToEachOther',
  even: 'screen.common.asEvenAsCanBe',
} as const;

const SPANS = {
  beat: 'screen.bench.eachBeat',
  two: 'screen.bench.twoBeats',
  bar: 'screen.bench.fourBeats',
} as const;
const LEVELS = {
  ghost: 'screen.bench.ghosts',
  normal: 'screen.bench.normal',
  accent: 'screen.bench.accents',
} as const;

type Level = keyof typeof LEVELS;

/** Placements that are shown to choose from; more are narrowed first. */
const MOST_SHOWN = 60;

/** So many notes in each span: every placement is counted, and any of them is a touch away. */
export function PlaceDetails({
  change,
  onChange,
  onVary,
}: {
  change: Place;
  onChange: (change: Place) => void;
  onVary?: (range: PlacementRange) => void;
}) {
  const { say } = useSpeech();
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
        row={say.t('screen.common.add')}
        label={say.t('screen.bench.added')}
        value={change.to}
        onChange={(to) => onChange({ ...change, to })}
      />
      <Row label={say.t('screen.bench.notes')}>
        {say.t.rich('screen.bench.notesInSpan', {
          notes: () => (
            <Stepper
              label={say.t('screen.bench.notes')}
              value={placed.length}
              bounds={{ least: 1, most: slots }}
              onChange={(notes) => begin(notes, slots)}
            />
          ),
          span: () => (
            <Toggle
              label={say.t('screen.bench.span')}
              bare
              options={sayEach(say, SPANS)}
              value={span}
              onChoose={(next) =>
                begin(placed.length, beat * (next === 'beat' ? 1 : next === 'two' ? 2 : 4))
              }
            />
          ),
        })}
      </Row>
      <Row label={say.t('screen.common.gridCapital')}>
        <Slots
          value={change.slot}
          onChoose={(slot) => {
            const parts = Math.max(1, Math.round(TICKS_PER_QUARTER / slotTicks(slot)));
            begin(placed.length, parts * (slots / beat), { slot });
          }}
        />
      </Row>
      <Toggle
        label={say.t('screen.common.spacing')}
        options={sayEach(say, SPACINGS)}
        value={spacing}
        onChoose={setSpacing}
      />
      <Toggle
        label={say.t('screen.common.slots')}
        options={{
          all: say.t('screen.bench.allSlots'),
          between: say.t('screen.variations.inBetweenOnly'),
        }}
        value={offBeats ? 'between' : 'all'}
        onChoose={(next) => setOffBeats(next === 'between')}
      />
      <Toggle
        label={say.t('screen.bench.level')}
        options={sayEach(say, LEVELS)}
        value={level}
        onChoose={(next) => onChange({ ...change, grid: placementGrid(placed, slots, next) })}
      />
      {onVary && count > 1 && (
        <Button
          look="quiet"
          className="self-start"
          onClick={() => {
            const { least, most, spacing, free } = rule;
            const range = { kind: 'placements', change, slots, least, most, spacing } as const;
            onVary(free ? { ...range, free } : range);
          }}
        >
          {say.t('screen.bench.asAFamily', { count })}
        </Button>
      )}
      <Row label={say.t('screen.bench.ways', { count })}>
        <div
          role="group"
          aria-label={say.t('screen.bench.placements')}
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
          <p className="text-sm text-soft">
            {say.t('screen.bench.theFirstNarrowThemForThe', { grids: grids.length })}
          </p>
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
