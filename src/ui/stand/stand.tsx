'use client';

import { X } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useEffectEvent, useMemo, useReducer, useRef, useState } from 'react';
import {
  dosageBars,
  dosageNow,
  rampBpm,
  rungAt,
  type Manner,
  type Rung,
  type SufferingId,
  type Verdict,
} from '@/core/ladder';
import { LIMBS, type Limb } from '@/core/kit';
import { scoreOf, type ClickMode } from '@/core/playing';
import { expand, type Exercise } from '@/core/recipe';
import type { PersonId, SessionId, StandItem } from '@/core/studio';
import {
  secondsAt,
  steadyTempo,
  tempoFor,
  type Tempo,
  type TempoChange,
  type TempoMap,
} from '@/core/time';
import { Button, buttonLook, newId } from '../base';
import { usePlayback } from '../play';
import { ThemeSwitch } from '../shell';
import {
  asksLimb,
  itemOf,
  standReducer,
  startStand,
  type Stage,
  type Stand as Round,
} from './machine';
import { drop, send, unsent } from './outbox';
import { sideOf, type Side } from './pedals';
import {
  AskBroke,
  AskLimb,
  AskSuffered,
  AskVerdict,
  Broken,
  Done,
  Playing,
  Ready,
  Unstored,
} from './stages';

export function Stand({
  person,
  items,
  first,
}: {
  person: PersonId;
  items: readonly StandItem[];
  first: number;
}) {
  const [stand, dispatch] = useReducer(standReducer, null, () => startStand(items, first));
  const { stage } = stand;
  const item = itemOf(stand);
  const playback = usePlayback();
  const router = useRouter();
  const session = useRef<SessionId | null>(null);
  const [hear, setHear] = useState(false);

  const { exercise, tempo, score, bars, tempi } = useMemo(() => planOf(item, hear), [item, hear]);
  const seconds = score && tempi ? secondsAt(tempi, score.lengthTicks ?? 0) : 0;

  useEffect(() => {
    const entry = unsent(person);
    if (entry) dispatch({ kind: 'restore', entry });
  }, [person]);

  const sending = stage.kind === 'storing' ? stage.entry : null;
  useEffect(() => {
    if (!sending) return;
    let current = true;
    void send(person, sending).then((sent) => {
      if (!current) return;
      if (sent.kind === 'stored') {
        dispatch({ kind: 'stored', answer: sent.answer });
      } else {
        dispatch({ kind: 'refused', issues: sent.kind === 'refused' ? sent.issues : null });
      }
    });
    return () => {
      current = false;
    };
  }, [person, sending]);

  function start() {
    if (!score || !tempi) return;
    dispatch({ kind: 'start' });
    void playback.start(score, tempi, () => dispatch({ kind: 'over', bars, seconds }));
  }

  function stop() {
    playback.stop();
    dispatch({ kind: 'stop' });
  }

  function judge(verdict: Verdict) {
    if (stage.kind !== 'verdict') return;
    session.current ??= newId<'session'>();
    const body = {
      id: newId<'entry'>(),
      sessionId: session.current,
      assignmentId: item.assignmentId,
      itemId: item.item.id,
      bpm: item.state.bpm,
      rung: rungAt(item.state.rungs, item.state.rung).key,
      agoMs: 0,
      verdict,
      bars: stage.bars,
      seconds: stage.seconds,
    };
    dispatch({ kind: 'send', entry: { kind: 'try', body } });
  }

  function suffer(what: SufferingId | null, limb?: Limb | null) {
    if (stage.kind !== 'suffered' && stage.kind !== 'limb') return;
    if (what === null || (limb === undefined && asksLimb(what))) {
      dispatch({ kind: 'suffered', what });
      return;
    }
    const body = { id: newId<'entry'>(), tryId: stage.tryId, what, limb: limb ?? null };
    dispatch({ kind: 'send', entry: { kind: 'suffered', body } });
  }

  function breakAt(beat: number | null) {
    if (stage.kind !== 'broke') return;
    if (beat === null) return dispatch({ kind: 'nowhere' });
    const body = { id: newId<'entry'>(), tryId: stage.tryId, beat };
    dispatch({ kind: 'send', entry: { kind: 'broke', body } });
  }

  function giveUp() {
    drop(person);
    dispatch({ kind: 'drop' });
  }

  const take = (of: Stage) => {
    switch (of.kind) {
      case 'verdict':
        return judge(of.options[of.cursor ?? 0] ?? 'clean');
      case 'broke':
        return breakAt(of.options[of.cursor ?? 0] ?? null);
      case 'suffered':
        return suffer(of.options[of.cursor ?? 0] ?? null);
      case 'limb':
        return suffer(of.what, of.options[of.cursor ?? 0] ?? null);
      case 'ready':
        return start();
      case 'unstored':
        return dispatch({ kind: 'retry' });
      case 'done':
        return dispatch({ kind: 'again' });
      case 'playing':
      case 'storing':
        return;
    }
  };

  function press(side: Side) {
    if (side === 'right') take(stage);
    else if (stage.kind === 'ready') dispatch({ kind: 'skip' });
    else if (stage.kind === 'playing') stop();
    else if (stage.kind === 'done') router.push('/today');
    else dispatch({ kind: 'step' });
  }

  const onKey = useEffectEvent((event: KeyboardEvent) => {
    const side = sideOf(event);
    if (!side) return;
    event.preventDefault();
    if (!event.repeat) press(side);
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => onKey(event);
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);

  if (!exercise || !score || !tempo || !tempi) {
    return (
      <Broken item={item} onSkip={() => dispatch({ kind: 'skip' })} alone={items.length < 2} />
    );
  }
  const playedBefore = stand.played && planOf(stand.played, false).exercise;
  const round = `${stand.index} ${stand.left}`;
  return (
    <main className="stand flex h-dvh flex-col gap-3 p-4" data-stage={stage.kind}>
      {stage.kind !== 'playing' && stage.kind !== 'done' && (
        <Head stand={stand} item={item} hear={hear} onHear={setHear} />
      )}
      {stage.kind === 'ready' && (
        <Ready key={`ready ${round}`} {...{ item, exercise, tempo }} onStart={start} />
      )}
      {stage.kind === 'playing' && (
        <Playing {...{ item, exercise, tempo, score, playback }} onStop={stop} />
      )}
      {stage.kind === 'verdict' && (
        <AskVerdict question={stage} bpm={item.state.bpm} onAnswer={judge} />
      )}
      {stage.kind === 'broke' && (
        <AskBroke question={stage} exercise={playedBefore ?? exercise} onAnswer={breakAt} />
      )}
      {stage.kind === 'suffered' && <AskSuffered question={stage} onAnswer={suffer} />}
      {stage.kind === 'limb' && (
        <AskLimb question={stage} what={stage.what} onAnswer={(limb) => suffer(stage.what, limb)} />
      )}
      {stage.kind === 'storing' && (
        <p role="status" className="stand-words m-auto">
          Storing…
        </p>
      )}
      {stage.kind === 'unstored' && (
        <Unstored
          issues={stage.issues}
          onRetry={() => dispatch({ kind: 'retry' })}
          onGiveUp={giveUp}
        />
      )}
      {stage.kind === 'done' && (
        <Done
          stand={stand}
          onAgain={() => dispatch({ kind: 'again' })}
          onFinish={() => router.push('/today')}
        />
      )}
    </main>
  );
}

/** What a try of an item plays. Without `hear` only the click sounds. */
function planOf(item: StandItem, hear: boolean) {
  const expanded = expand(item.plays);
  if (!expanded.ok) return { exercise: null, tempo: null, score: null, bars: 0, tempi: null };
  const exercise = expanded.value;
  const tempo = tempoFor(exercise.meter, item.state.bpm);
  const bars = dosageBars(dosageNow(item.state, item.item.course.dosage), exercise, tempo);
  const rung = rungAt(item.state.rungs, item.state.rung);
  const muted = hear ? new Set<Limb>() : new Set<Limb>(LIMBS);
  const click = rung.stage?.kind === 'manner' ? (CLICKS[rung.stage.manner] ?? 'beats') : 'beats';
  const score = scoreOf(exercise, { bars, muted, click });
  return { exercise, tempo, bars, score, tempi: tempiOf(rung, tempo, exercise, bars) };
}

/** Where the click sounds in a manner; on every beat in the others. */
const CLICKS: Partial<Readonly<Record<Manner, ClickMode>>> = {
  'click-2-4': 'second beats',
  'click-drops': 'drops out',
  'click-off': 'off',
  'own-music': 'off',
};

/** The tempi of a try: one, or those of a ramp, a step at a bar line. */
function tempiOf(rung: Rung, tempo: Tempo, exercise: Exercise, bars: number): TempoMap {
  const changes: TempoChange[] = [];
  let before = rung.bpm;
  for (let bar = 1; bar < bars && rung.ramp; bar += 1) {
    const bpm = rampBpm(rung, bar);
    if (bpm !== before) changes.push({ at: bar * exercise.barTicks, tempo: { ...tempo, bpm } });
    before = bpm;
  }
  return [...steadyTempo(tempo), ...changes];
}

function Head({
  stand,
  item,
  hear,
  onHear,
}: {
  stand: Round;
  item: StandItem;
  hear: boolean;
  onHear: (hear: boolean) => void;
}) {
  return (
    <header className="flex flex-wrap items-baseline gap-x-4">
      <h1 className="min-w-0 basis-full truncate font-serif text-3xl sm:flex-1 sm:basis-0">
        {item.item.name}
      </h1>
      <span className="shrink-0 text-xl text-soft">
        {stand.index + 1} of {stand.items.length}
      </span>
      {stand.stage.kind === 'ready' && (
        <Button aria-pressed={hear} onClick={() => onHear(!hear)}>
          hear the pattern
        </Button>
      )}
      <ThemeSwitch size={22} />
      <Link href="/today" className={buttonLook('quiet')} aria-label="Leave the stand">
        <X size={24} aria-hidden />
      </Link>
    </header>
  );
}
