'use client';

import { SlidersHorizontal } from 'lucide-react';
import { LIMBS, VOICE_IDS, type Limb, type VoiceId } from '@/core/kit';
import type { Exercise } from '@/core/recipe';
import { sayLimb, sayVoice } from '@/words';
import { Button, Pop, PopRoot, PopTrigger, useSpeech } from '../base';
import { TapDelay } from '../play';
import type { TransportSettings } from './settings';

/** Decibels by which a voice can be softer or louder than it is. */
const LEAST = -24;
const MOST = 6;

/** Limbs heard alone, and how loud each voice is. */
export function MixPop({
  exercise,
  settings: { solo, mix },
  onChange,
}: {
  exercise: Exercise;
  settings: TransportSettings;
  onChange: (change: Partial<TransportSettings>) => void;
}) {
  const { say } = useSpeech();
  const played = new Set<string>(exercise.strokes.flatMap(({ limb, voice }) => [limb, voice]));
  const limbs = LIMBS.filter((limb) => played.has(limb));
  const voices = VOICE_IDS.filter((id) => played.has(id));
  const isSet = solo.size > 0 || Object.keys(mix).length > 0;
  const turn = (limb: Limb) => {
    const next = new Set(solo);
    if (!next.delete(limb)) next.add(limb);
    onChange({ solo: next });
  };
  const setLevel = (id: VoiceId, db: number) => {
    const { [id]: _, ...others } = mix;
    onChange({ mix: db === 0 ? others : { ...others, [id]: db } });
  };
  return (
    <PopRoot>
      <PopTrigger
        className={`inline-flex items-center gap-1.5 rounded-sm px-2 py-1 hover:bg-faint ${isSet ? 'text-warm' : ''}`}
      >
        <SlidersHorizontal size={14} aria-hidden /> {say.t('screen.bench.mix')}
      </PopTrigger>
      <Pop className="flex w-80 flex-col gap-3 p-3">
        <div
          className="flex flex-wrap items-center gap-1"
          role="group"
          aria-label={say.t('screen.bench.solo')}
        >
          <span className="label mr-1">{say.t('screen.bench.solo')}</span>
          {limbs.map((limb) => (
            <Button key={limb} aria-pressed={solo.has(limb)} onClick={() => turn(limb)}>
              {sayLimb(say, limb)}
            </Button>
          ))}
        </div>
        {voices.map((id) => (
          <label
            key={id}
            className="grid grid-cols-[7rem_minmax(0,1fr)_3.5rem] items-center gap-2 text-sm"
          >
            <span>{sayVoice(say, id)}</span>
            <input
              type="range"
              min={LEAST}
              max={MOST}
              step={1}
              value={mix[id] ?? 0}
              aria-valuetext={say.t('screen.bench.decibels', { db: mix[id] ?? 0 })}
              className="w-full min-w-0 accent-warm"
              onChange={(event) => setLevel(id, Number(event.target.value))}
            />
            <span className="text-right text-soft tabular-nums">
              {say.t('screen.bench.decibels', { db: mix[id] ?? 0 })}
            </span>
          </label>
        ))}
        {isSet && (
          <Button onClick={() => onChange({ solo: new Set(), mix: {} })}>
            {say.t('screen.bench.allAsTheyAre')}
          </Button>
        )}
        <TapDelay />
      </Pop>
    </PopRoot>
  );
}
