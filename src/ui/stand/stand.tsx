'use client';

import { X } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useEffectEvent, useMemo, useReducer, useRef, useState } from 'react';
import { issueText } from '@/core/issue';
import {
  dosageBars,
  sayDosage,
  sufferingName,
  type SufferingId,
  type Verdict,
} from '@/core/ladder';
import { LIMBS, type Limb } from '@/core/kit';
import { scoreOf } from '@/core/playing';
import { expand, sentenceText } from '@/core/recipe';
import type { PersonId, SessionId, StandItem } from '@/core/studio';
import { tempoFor, ticksToSeconds } from '@/core/time';
import { Button, buttonLook } from '../base';
import { VerdictSign } from '../marks';
import { TempoGlyph, usePlayback } from '../play';
import { ThemeSwitch } from '../shell';
import { Band, Patience } from './bands';
import { asksLimb, itemOf, limbText, standReducer, startStand, type Stage } from './machine';
import { drop, newEntryId, send, unsent } from './outbox';
import { Pattern } from './pattern';
import { sideOf, type Side } from './pedals';
import { Pulse, usePosition } from './pulse';

/** Seconds without a press after which a question answers itself. */
const PATIENCE_SECONDS = 20;

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

  const { exercise, tempo, score, bars } = useMemo(() => planOf(item, hear), [item, hear]);
  const position = usePosition(playback.subscribe, score);
  const seconds = score && tempo ? ticksToSeconds(score.lengthTicks ?? 0, tempo) : 0;

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
    if (!score || !tempo) return;
    dispatch({ kind: 'start' });
    void playback.start(score, tempo, () => dispatch({ kind: 'over', bars, seconds }));
  }

  function stop() {
    playback.stop();
    dispatch({ kind: 'stop' });
  }

  function judge(verdict: Verdict) {
    if (stage.kind !== 'verdict') return;
    session.current ??= newEntryId<'session'>();
    const body = {
      id: newEntryId<'entry'>(),
      sessionId: session.current,
      assignmentId: item.assignmentId,
      itemId: item.item.id,
      bpm: item.state.bpm,
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
    const body = { id: newEntryId<'entry'>(), tryId: stage.tryId, what, limb: limb ?? null };
    dispatch({ kind: 'send', entry: { kind: 'suffered', body } });
  }

  function giveUp() {
    drop(person);
    dispatch({ kind: 'drop' });
  }

  const take = (of: Stage) => {
    switch (of.kind) {
      case 'verdict':
        return judge(of.options[of.cursor ?? 0] ?? 'clean');
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

  if (!exercise || !score || !tempo) {
    return (
      <Broken item={item} onSkip={() => dispatch({ kind: 'skip' })} alone={items.length < 2} />
    );
  }
  return (
    <main className="stand flex h-dvh flex-col gap-3 p-4" data-stage={stage.kind}>
      {stage.kind !== 'playing' && stage.kind !== 'done' && (
        <Head stand={stand} item={item} hear={hear} onHear={setHear} />
      )}
      {stage.kind === 'ready' && (
        <Ready key={`ready ${stand.index} ${stand.left}`} stand={stand} onStart={start}>
          <Pattern exercise={exercise} />
        </Ready>
      )}
      {stage.kind === 'playing' && position && (
        <>
          <div className="stand-row">
            <span>
              <TempoGlyph tempo={tempo} size={54} /> {item.state.bpm}
            </span>
            <span>{position.phase === 'count-in' ? 'count-in' : `bar ${position.bar + 1}`}</span>
            <span className={position.barsLeft === 0 ? 'text-warm' : ''} role="status">
              {position.barsLeft === 0 ? 'last bar' : `${position.barsLeft} left`}
            </span>
          </div>
          {position.phase === 'count-in' ? (
            <>
              <div className="flex h-[26%]">
                <Pulse score={score} position={position} />
              </div>
              <Pattern exercise={exercise} />
            </>
          ) : (
            <>
              <Pulse score={score} position={position} />
              <div className="flex h-[34%] flex-col">
                <Pattern exercise={exercise} subscribe={playback.subscribe} />
              </div>
            </>
          )}
          {!playback.audible && <p role="status">No sound in this browser: follow the blocks.</p>}
          <Band key="stop" onPress={stop} className="stand-words h-24 shrink-0">
            stop
          </Band>
        </>
      )}
      {stage.kind === 'verdict' && (
        <Ask key="verdict" title={`${item.state.bpm}: how was it?`} onOver={() => judge('shaky')}>
          <div className="grid min-h-0 flex-1 grid-rows-3 gap-3">
            {stage.options.map((verdict, index) => (
              <Band
                key={verdict}
                main={verdict === 'clean'}
                marked={stage.cursor === index}
                onPress={() => judge(verdict)}
                className="stand-number"
              >
                {verdict !== 'clean' && <VerdictSign verdict={verdict} size={56} />}
                {verdict}
              </Band>
            ))}
          </div>
        </Ask>
      )}
      {stage.kind === 'suffered' && (
        <Ask key="suffered" title="Stored. What suffered?" onOver={() => suffer(null)}>
          <div className="grid min-h-0 flex-1 auto-rows-fr grid-cols-2 gap-2 lg:grid-cols-3">
            {stage.options.map((what, index) => (
              <Band
                key={what ?? 'none'}
                marked={stage.cursor === index}
                onPress={() => suffer(what)}
                className="stand-words leading-none"
              >
                {what === null ? 'go on' : sufferingName(what)}
              </Band>
            ))}
          </div>
        </Ask>
      )}
      {stage.kind === 'limb' && (
        <Ask
          key="limb"
          title={`${sufferingName(stage.what)}: which limb?`}
          onOver={() => suffer(stage.what, null)}
        >
          <div className="grid min-h-0 flex-1 auto-rows-fr gap-2">
            {stage.options.map((limb, index) => (
              <Band
                key={limb ?? 'none'}
                marked={stage.cursor === index}
                onPress={() => suffer(stage.what, limb)}
                className="stand-words"
              >
                {limbText(limb)}
              </Band>
            ))}
          </div>
        </Ask>
      )}
      {stage.kind === 'storing' && (
        <p role="status" className="stand-words m-auto">
          Storing…
        </p>
      )}
      {stage.kind === 'unstored' && (
        <div className="m-auto flex w-full max-w-4xl flex-col gap-4" role="alert">
          <p className="stand-words">
            {stage.issues
              ? stage.issues.map(issueText).join(' ')
              : 'Not stored yet: Mivvel cannot be reached. The try is kept here.'}
          </p>
          <Band
            key="retry"
            main
            onPress={() => dispatch({ kind: 'retry' })}
            className="stand-number h-48"
          >
            Store it again
          </Band>
          {stage.issues && (
            <Band key="without" onPress={giveUp} className="stand-words h-24">
              go on without it
            </Band>
          )}
        </div>
      )}
      {stage.kind === 'done' && (
        <div className="flex min-h-0 flex-1 flex-col gap-4">
          <h1 className="stand-words">Round done.</h1>
          <ul className="min-h-0 flex-1 overflow-y-auto">
            {stand.items.map((one) => (
              <li key={`${one.assignmentId} ${one.item.id}`} className="stand-line">
                <span className="truncate">{one.item.exercise.name}</span>
                <span className="flex gap-1.5">
                  {stand.stored
                    .filter(({ item: { item: played } }) => played.id === one.item.id)
                    .map(({ verdict }, index) => (
                      <VerdictSign key={index} verdict={verdict} size={22} />
                    ))}
                </span>
                <b>{one.state.bpm}</b>
                <span className="col-span-3 text-lg text-soft">{one.reason}</span>
              </li>
            ))}
          </ul>
          <Band
            key="again"
            main
            onPress={() => dispatch({ kind: 'again' })}
            className="stand-number h-44 shrink-0"
          >
            Once more
          </Band>
          <Band
            key="finish"
            onPress={() => router.push('/today')}
            className="stand-words h-24 shrink-0"
          >
            finish
          </Band>
        </div>
      )}
    </main>
  );
}

/** What a try of an item plays. Without `hear` only the click sounds. */
function planOf(item: StandItem, hear: boolean) {
  const expanded = expand(item.item.exercise.recipe);
  if (!expanded.ok) return { exercise: null, tempo: null, score: null, bars: 0 };
  const exercise = expanded.value;
  const tempo = tempoFor(exercise.meter, item.state.bpm);
  const bars = dosageBars(item.item.course.dosage, exercise, tempo);
  const muted = hear ? new Set<Limb>() : new Set<Limb>(LIMBS);
  return { exercise, tempo, bars, score: scoreOf(exercise, { bars, muted }) };
}

function Head({
  stand,
  item,
  hear,
  onHear,
}: {
  stand: ReturnType<typeof startStand>;
  item: StandItem;
  hear: boolean;
  onHear: (hear: boolean) => void;
}) {
  return (
    <header className="flex items-baseline gap-4">
      <h1 className="min-w-0 flex-1 truncate font-serif text-3xl">{item.item.exercise.name}</h1>
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

function Ready({
  stand,
  onStart,
  children,
}: {
  stand: ReturnType<typeof startStand>;
  onStart: () => void;
  children: React.ReactNode;
}) {
  const { item, state, reason } = itemOf(stand);
  const expanded = expand(item.exercise.recipe);
  return (
    <>
      <p className="text-lg text-soft">{sentenceText(item.exercise.recipe)}</p>
      <div className="stand-row">
        <span data-testid="rung">
          {expanded.ok && (
            <TempoGlyph tempo={tempoFor(expanded.value.meter, state.bpm)} size={54} />
          )}{' '}
          {state.bpm}
        </span>
        <span>{sayDosage(item.course.dosage)}</span>
      </div>
      <p className="text-2xl" role="status">
        {reason}
      </p>
      {children}
      <Band main onPress={onStart} className="stand-number h-40 shrink-0">
        Start
      </Band>
    </>
  );
}

function Ask({
  title,
  onOver,
  children,
}: {
  title: string;
  onOver: () => void;
  children: React.ReactNode;
}) {
  return (
    <>
      <h2 className="stand-words" role="status">
        {title}
      </h2>
      {children}
      <Patience seconds={PATIENCE_SECONDS} onOver={onOver} />
    </>
  );
}

function Broken({ item, alone, onSkip }: { item: StandItem; alone: boolean; onSkip: () => void }) {
  return (
    <main className="m-auto flex max-w-2xl flex-col gap-4 p-8">
      <h1 className="font-serif text-3xl">{item.item.exercise.name}</h1>
      <p className="text-xl">This exercise cannot be played as it stands. Tell your teacher.</p>
      {!alone && (
        <Button look="main" onClick={onSkip}>
          The next one
        </Button>
      )}
      <Link href="/today" className={buttonLook()}>
        Back to Today
      </Link>
    </main>
  );
}
