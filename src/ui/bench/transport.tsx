'use client';

import { Play, Repeat, Square } from 'lucide-react';
import { useEffect, useRef, type ReactNode } from 'react';
import type { Part } from '@/audio';
import { feltPulses } from '@/core/analysis';
import { LIMBS } from '@/core/kit';
import { tempoFor } from '@/core/time';
import type { ClosedRecipe, Exercise } from '@/core/recipe';
import { formatLoop, parseLoop } from '@/core/retype';
import { sayLimb, saySentence } from '@/words';
import { Button, TypedField, useSpeech } from '../base';
import { LimbSign, type Subscribe } from '../marks';
import { FilesPop, TempoField } from '../play';
import { MixPop } from './mix-pop';
import { loopIn, playedBpm, type TransportSettings } from './settings';

export function Transport({
  exercise,
  name,
  recipe,
  partOf,
  settings,
  playing,
  audible,
  subscribe,
  onChange,
  onToggle,
}: {
  exercise: Exercise | null;
  /** Of the exercise, for its file. */
  name: string;
  recipe: ClosedRecipe;
  partOf: (exercise: Exercise, bars: number) => Part;
  settings: TransportSettings;
  playing: boolean;
  audible: boolean;
  subscribe: Subscribe;
  onChange: (change: Partial<TransportSettings>) => void;
  onToggle: () => void;
}) {
  const { say, syllables } = useSpeech();
  const bars = exercise?.bars ?? 1;
  const fileBars = settings.loop ? bars * Math.ceil(LEAST_BARS / bars) : bars;
  const felt = exercise ? feltPulses(exercise, tempoFor(exercise.meter, playedBpm(settings))) : [];
  const limbs = LIMBS.filter((limb) => exercise?.strokes.some((one) => one.limb === limb));
  return (
    <section
      aria-label={say.t('screen.bench.playing')}
      className="flex flex-wrap items-center gap-x-5 gap-y-1 border-t border-line bg-sheet px-4 py-2"
    >
      <Button look="main" className="min-w-24" onClick={onToggle} aria-keyshortcuts="Space">
        {playing ? <Square size={14} aria-hidden /> : <Play size={14} aria-hidden />}
        {playing ? say.t('screen.common.stopCapital') : say.t('screen.common.play')}
      </Button>
      <Where subscribe={subscribe} bars={exercise?.bars ?? 1} />
      <TempoField
        exercise={exercise}
        tempo={settings.tempo}
        onTempo={(tempo) => onChange({ tempo })}
      />
      {felt.map(({ limb, bpm }) => (
        <span key={limb} title={sayLimb(say, limb)} className="text-sm" data-testid="felt-tempo">
          {say.t('screen.bench.feltAs', { bpm: Math.round(bpm * 10) / 10 })}
        </span>
      ))}
      <div className="flex flex-wrap items-center gap-1.5">
        <Button
          aria-pressed={settings.half}
          aria-keyshortcuts="h"
          title={say.t('screen.bench.halfSpeedKey')}
          onClick={() => onChange({ half: !settings.half })}
        >
          {say.t('screen.bench.halfSpeed', {
            bpm: playedBpm({ ...settings, half: true }),
          })}
        </Button>
        <Button aria-pressed={settings.click} onClick={() => onChange({ click: !settings.click })}>
          {say.t('screen.bench.click')}
        </Button>
        <Button aria-pressed={settings.loop} onClick={() => onChange({ loop: !settings.loop })}>
          <Repeat size={14} aria-hidden /> {say.t('screen.bench.loop')}
        </Button>
        {exercise && settings.loop && (
          <TypedField
            label={say.t('screen.bench.partThatGoesRound')}
            value={loopIn(settings, exercise)}
            write={(part) => (part ? formatLoop(part, exercise, syllables) : '')}
            read={(text) => {
              if (text.trim() === '') return null;
              const read = parseLoop(text, exercise, syllables);
              return read.ok ? read.value : undefined;
            }}
            trouble={say.t('screen.bench.partAsTyped', { bars: exercise.bars })}
            inputMode="text"
            placeholder={say.t('screen.bench.allOfIt')}
            maxLength={20}
            className="field w-22"
            onTake={(part) => onChange({ part })}
          />
        )}
        <Labelled label={say.t('screen.bench.countIn')}>
          <select
            aria-label={say.t('screen.bench.countInBars')}
            className="field"
            value={settings.countInBars}
            onChange={(event) => onChange({ countInBars: Number(event.target.value) })}
          >
            {[0, 1, 2].map((bars) => (
              <option key={bars} value={bars}>
                {bars === 0
                  ? say.t('screen.common.none')
                  : say.t('screen.common.barCount', { bars })}
              </option>
            ))}
          </select>
        </Labelled>
      </div>
      {limbs.length > 0 && (
        <div
          className="flex items-center gap-1"
          role="group"
          aria-label={say.t('screen.bench.muteCapital')}
        >
          <span className="label mr-1">{say.t('screen.bench.mute')}</span>
          {limbs.map((limb) => (
            <button
              key={limb}
              type="button"
              aria-pressed={settings.muted.has(limb)}
              aria-label={say.t('screen.bench.muteThe', { limb: sayLimb(say, limb) })}
              className="rounded-sm border border-line px-1.5 py-1 aria-pressed:bg-ink aria-pressed:line-through aria-pressed:opacity-60"
              onClick={() => {
                const muted = new Set(settings.muted);
                if (!muted.delete(limb)) muted.add(limb);
                onChange({ muted });
              }}
            >
              <LimbSign limb={limb} />
            </button>
          ))}
        </div>
      )}
      {exercise && <MixPop exercise={exercise} settings={settings} onChange={onChange} />}
      {exercise && (
        <FilesPop
          name={name}
          piecesOf={() => {
            const says = saySentence(say, recipe);
            return [{ name, says, exercise, bpm: settings.tempo }];
          }}
          bundled={() => ({ exercises: [{ name, recipe }] })}
          sound={{ bars: fileBars, partOf: () => partOf(exercise, fileBars) }}
        />
      )}
      {exercise && settings.loop && settings.part && !loopIn(settings, exercise) && (
        <p role="status" className="text-sm">
          {say.t('screen.bench.thePartIsNotInThis')}
        </p>
      )}
      {!audible && (
        <p role="status" className="text-sm">
          {say.t('screen.bench.noSoundHereTheBrowserDoes')}
        </p>
      )}
    </section>
  );
}

function Labelled({ label, children }: { label: string; children: ReactNode }) {
  return (
    <span className="flex items-center gap-1.5">
      <span className="label">{label}</span>
      {children}
    </span>
  );
}

/** Bar and beat, large enough for a glance. */
function Where({ subscribe, bars }: { subscribe: Subscribe; bars: number }) {
  const { say } = useSpeech();
  const text = useRef<HTMLSpanElement>(null);
  useEffect(
    () =>
      subscribe((position) => {
        if (!text.current) return;
        const bar = position && position.phase === 'playing' ? (position.bar % bars) + 1 : '–';
        const said = position ? `${bar} · ${position.beat + 1}` : '–';
        if (text.current.textContent !== said) text.current.textContent = said;
      }),
    [subscribe, bars],
  );
  return (
    <span
      ref={text}
      role="img"
      aria-label={say.t('screen.bench.barAndBeat')}
      title={say.t('screen.bench.barBeat')}
      className="min-w-16 text-center font-serif text-xl"
    >
      –
    </span>
  );
}

/** What goes round is written out in a file to so many bars at least. */
const LEAST_BARS = 8;
