'use client';

import { useState } from 'react';
import { setSoundDelayMs, soundDelayMs } from '@/audio';
import { must } from '@/core/issue';
import { LIMBS } from '@/core/kit';
import { DELAY_TAPS, delayOfTaps, MOST_DELAY_MS, scoreOf } from '@/core/playing';
import { blankRecipe, expand, toggleOstinato } from '@/core/recipe';
import { bpm, tempoFor, ticksToSeconds, TICKS_PER_QUARTER } from '@/core/time';
import { Button, TypedField, useSpeech } from '../base';
import { usePlayback } from './use-playback';

/** Clicks to tap along with: a bar ahead, and enough after it. */
const BPM = bpm(100);
const BARS = 8;

/** By how much sound comes late on this device: typed, or found by tapping along with clicks. What is shown while
 * it plays is as much later. */
export function TapDelay() {
  const { say } = useSpeech();
  const [ms, setMs] = useState(soundDelayMs);
  const [taps, setTaps] = useState<readonly number[]>([]);
  const [failed, setFailed] = useState(false);
  const playback = usePlayback();
  const set = (next: number) => setMs(setSoundDelayMs(next));

  function begin() {
    setTaps([]);
    setFailed(false);
    const { exercise, tempo } = clicks();
    void playback.start(scoreOf(exercise, { muted: new Set(LIMBS), bars: BARS }), tempo);
  }

  function tap() {
    const at = playback.where()?.ticks;
    if (at === undefined) return;
    const off = at - Math.round(at / TICKS_PER_QUARTER) * TICKS_PER_QUARTER;
    const next = [...taps, ticksToSeconds(off, clicks().tempo) * 1000];
    setTaps(next);
    if (next.length < DELAY_TAPS) return;
    playback.stop();
    const found = delayOfTaps(next);
    setFailed(found === null);
    if (found !== null) set(ms + found);
  }

  return (
    <div className="flex flex-wrap items-center gap-2 text-sm">
      <span className="label">{say.t('screen.common.soundComesLateBy')}</span>
      <TypedField
        label={say.t('screen.common.soundComesLateByMs')}
        value={ms}
        write={String}
        read={(text) => {
          const typed = Number(text);
          return /^\d{1,3}$/.test(text.trim()) && typed <= MOST_DELAY_MS ? typed : undefined;
        }}
        trouble={say.t('screen.common.msAtMost', { most: MOST_DELAY_MS })}
        step={(value, by) => Math.min(MOST_DELAY_MS, Math.max(0, value + by))}
        className="field w-14"
        onTake={set}
      />
      <span>{say.t('screen.common.ms')}</span>
      {playback.playing ? (
        <Button
          key="tap"
          look="main"
          onPointerDown={tap}
          onKeyDown={(event) => {
            if (event.repeat || !(event.key === ' ' || event.key === 'Enter')) return;
            event.preventDefault();
            tap();
          }}
        >
          {say.t('screen.common.tapWithEachClick', { left: DELAY_TAPS - taps.length })}
        </Button>
      ) : (
        <Button key="begin" onClick={begin}>
          {say.t('screen.common.tapAlong')}
        </Button>
      )}
      {failed && <p role="status">{say.t('screen.common.theTapsWereTooUneven')}</p>}
    </div>
  );
}

/** Quarters of a bar of four, for their clicks alone. */
function clicks() {
  const exercise = must(expand(toggleOstinato(blankRecipe(), 'rock-quarters')));
  return { exercise, tempo: tempoFor(exercise.meter, BPM) };
}
