'use client';

import { useEffect, useRef, useState } from 'react';
import { must } from '@/core/issue';
import { type Position, scoreOf } from '@/core/playing';
import { blankRecipe, expand } from '@/core/recipe';
import { barTicks, bpm, parseMeter, slotTicks, tempoFor, type SubdivisionId } from '@/core/time';
import { Button, useSpeech } from '../base';
import { usePlayback } from '../play';

type Grid = Extract<SubdivisionId, '8' | '16' | '8t'>;

const GRIDS: Readonly<Record<Grid, string>> = { '8': '8ths', '16': '16ths', '8t': 'triplets' };

const TEMPI = [50, 60, 70, 80, 100, 120];

const MOST_BARS = 4;

/** A rhythm tapped on any key, over a click, after a bar of count-in; it snaps to the grid.
 * @param onTapped places in ticks from the start, rising, and what they were tapped on */
export function TapIn({
  meter,
  onTapped,
}: {
  meter: string;
  onTapped: (places: readonly number[], bars: number, grid: Grid) => void;
}) {
  const { say } = useSpeech();
  const playback = usePlayback();
  const [bars, setBars] = useState(1);
  const [grid, setGrid] = useState<Grid>('8');
  const [tempo, setTempo] = useState(70);
  const [phase, setPhase] = useState<Position['phase'] | null>(null);
  const [taps, setTaps] = useState(0);
  const presses = useRef<number[]>([]);
  const origin = useRef<number | null>(null);
  const read = parseMeter(meter);

  useEffect(
    () =>
      playback.subscribe((position) => {
        setPhase(position?.phase ?? null);
        if (position?.phase !== 'playing' || origin.current !== null || !read.ok) return;
        const msPerTick = 60_000 / (tempo * tempoFor(read.value, bpm(tempo)).beatTicks);
        origin.current = performance.now() - position.inCycle * msPerTick;
      }),
    [playback, tempo, read],
  );

  function press(at: number) {
    if (!playback.playing) return;
    presses.current.push(at);
    setTaps(presses.current.length);
  }

  function finish() {
    const start = origin.current;
    setPhase(null);
    if (start === null || !read.ok) return;
    const { beatTicks } = tempoFor(read.value, bpm(tempo));
    const total = barTicks(read.value) * bars;
    const slot = slotTicks(grid);
    const places = presses.current
      .map((at) => ((at - start) * tempo * beatTicks) / 60_000)
      .filter((at) => at > -slot / 2 && at < total)
      .map((at) => (Math.round(at / slot) * slot) % total);
    onTapped(
      [...new Set(places)].sort((a, b) => a - b),
      bars,
      grid,
    );
  }

  function start() {
    if (!read.ok) return;
    presses.current = [];
    origin.current = null;
    setTaps(0);
    const silent = { kind: 'hand', length: 1, edits: [] } as const;
    const blank = { ...blankRecipe(), meter, changes: [{ ...silent, edits: [] }] };
    const exercise = must(expand(blank));
    void playback.start(
      scoreOf(exercise, { bars, countInBars: 1 }),
      tempoFor(read.value, bpm(tempo)),
      finish,
    );
  }

  return (
    <div
      className="flex flex-wrap items-center gap-2"
      role="group"
      aria-label={say.t('screen.materials.tapItIn')}
    >
      <Button
        onClick={playback.playing ? undefined : start}
        onPointerDown={(event) => press(event.timeStamp)}
        onKeyDown={(event) => {
          if (event.repeat || event.key === 'Tab') return;
          if (playback.playing) {
            event.preventDefault();
            press(event.timeStamp);
          }
        }}
      >
        {playback.playing
          ? phase === 'playing'
            ? say.t('screen.materials.tap', { taps })
            : say.t('screen.materials.countIn')
          : say.t('screen.materials.tapItIn')}
      </Button>
      {playback.playing ? (
        <Button look="quiet" onClick={playback.stop}>
          {say.t('screen.common.stop')}
        </Button>
      ) : (
        <>
          <Select
            label={say.t('screen.materials.barsCapital')}
            value={String(bars)}
            onPick={(value) => setBars(Number(value))}
          >
            {Array.from({ length: MOST_BARS }, (_, index) => [
              String(index + 1),
              index === 0
                ? say.t('screen.common.n1Bar')
                : say.t('screen.materials.bars', { index: index + 1 }),
            ])}
          </Select>
          <Select
            label={say.t('screen.common.gridCapital')}
            value={grid}
            onPick={(value) => setGrid(value as Grid)}
          >
            {Object.entries(GRIDS)}
          </Select>
          <Select
            label={say.t('screen.common.tempoCapital')}
            value={String(tempo)}
            onPick={(value) => setTempo(Number(value))}
          >
            {TEMPI.map((one) => [String(one), say.t('screen.materials.at', { bpm: one })])}
          </Select>
        </>
      )}
    </div>
  );
}

function Select({
  label,
  value,
  onPick,
  children,
}: {
  label: string;
  value: string;
  onPick: (value: string) => void;
  children: readonly (readonly string[])[];
}) {
  return (
    <select
      aria-label={label}
      className="h-8 rounded-sm border border-line bg-sheet px-1.5"
      value={value}
      onChange={(event) => onPick(event.target.value)}
    >
      {children.map(([key, text]) => (
        <option key={key} value={key}>
          {text ?? ''}
        </option>
      ))}
    </select>
  );
}
