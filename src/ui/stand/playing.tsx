'use client';

import { rampBpm } from '@/core/ladder';
import { changesAt, partAt, type Position } from '@/core/playing';
import type { CueLine } from '@/core/progress';
import type { StandItem } from '@/core/studio';
import { sayCall, sayChanges, sayCueLine, type Say } from '@/words';
import { useSpeech } from '../base';
import type { Written } from './kept';
import { TempoGlyph, type Playback } from '../play';
import { Band } from './bands';
import { cueAt } from './cue';
import type { SlotPlan } from './plan-slot';
import { Pulse, usePosition } from './pulse';
import { Shown } from './shown';

/** Count-in, and the empty bars before the next try: the pattern large. Then nobody reads sixteen marks:
 * the beat large, for the corner of the eye, with bar, bars left and tempo, and what changes one bar
 * before it does; the pattern smaller. */
export function Playing({
  plans,
  written,
  playback,
  cuesOf,
  onStop,
}: {
  plans: readonly SlotPlan[];
  written: Written;
  playback: Playback;
  /** What to watch for in an item. */
  cuesOf: (item: StandItem) => readonly CueLine[];
  onStop: () => void;
}) {
  const { say } = useSpeech();
  const { position, part } = usePosition(
    playback.subscribe,
    plans.map((plan) => plan.score),
  );
  const plan = plans[part];
  if (!plan) return null;
  const { exercise, tempo, score, tempi, rung, item } = plan;
  const counting = position.phase === 'count-in';
  const last = position.barsLeft === 0;
  const bpm = rampBpm(rung, counting ? 0 : position.bar);
  const change = counting ? '' : sayChanges(say, changesAt(score, tempi, position.bar + 1));
  const cue = cueAt(cuesOf(item), counting ? 0 : position.bar, exercise.bars);
  const named = partAt(score, counting ? 0 : position.bar);
  return (
    <>
      {plans.length > 1 && (
        <p className="stand-words truncate leading-none">
          {item.item.name}{' '}
          <span className="text-soft">
            · {say.t('screen.stand.of', { part: part + 1, all: plans.length })}
          </span>
        </p>
      )}
      <div className="stand-row">
        <span>
          <TempoGlyph tempo={tempo} size={54} /> {bpm}
        </span>
        <span>{counting ? say.t('screen.stand.countIn') : sayBar(say, position)}</span>
        <span className={last ? 'text-warm' : ''} role="status">
          {last
            ? say.t('screen.stand.lastBar')
            : say.t('screen.stand.left', { bars: position.barsLeft ?? 0 })}
        </span>
      </div>
      {(score.calls || exercise.members.length > 0 || tempi.length > 1 || change) && (
        <div className="stand-row flex-nowrap" data-testid="change">
          <span className="min-w-0 truncate">{named}</span>
          <span className="min-w-0 truncate text-warm">{change && `→ ${change}`}</span>
        </div>
      )}
      {cue && (
        <p className="stand-words line-clamp-2 leading-tight" data-testid="cue">
          {sayCueLine(say, cue, item.plays.meter)}
        </p>
      )}
      <div className={counting ? 'flex h-[26%]' : 'flex min-h-0 flex-1'}>
        <Pulse score={score} position={position} />
      </div>
      <div className={counting ? 'flex min-h-0 flex-1 flex-col' : 'flex h-[34%] flex-col'}>
        <Shown
          plan={plan}
          written={written}
          at={counting ? 0 : position.inCycle}
          subscribe={playback.subscribe}
        />
      </div>
      {!playback.audible && <p role="status">{say.t('screen.stand.noSoundInThisBrowserYet')}</p>}
      <Band onPress={onStop} className="stand-words h-24 shrink-0">
        {say.t('screen.common.stop')}
      </Band>
    </>
  );
}

/** The bar that is played; where bars are called, the one that was called. */
function sayBar(say: Say, { bar, call }: Position): string {
  return sayCall(say, call ?? bar);
}
