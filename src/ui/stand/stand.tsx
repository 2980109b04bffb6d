'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { Result } from '@/core/issue';
import type { SufferingId, Verdict } from '@/core/log';
import type { Limb } from '@/core/kit';
import { scoreOf } from '@/core/playing';
import type { PersonId, Round } from '@/core/studio';
import { beats, bpm, secondsAt, tempoFor } from '@/core/time';
import { sayCueLine } from '@/words';
import { attemptOrSay, loadLate, toast, useSpeech } from '../base';
import { usePlayback, type PlayedTo } from '../play';
import { Broken } from './broken';
import { Head } from './head';
import { endRound } from './kept';
import { cuesFor } from './cue';
import { placesFrom } from './places';
import { asksLimb } from './asking';
import { itemAt, itemOf, type Played, type StandStage } from './round';
import { sideOf, type Side } from './pedals';
import { planSlot, type SlotPlan } from './plan-slot';
import { Playing } from './playing';
import { Ready } from './ready';
import { useAwake } from './use-awake';
import { readingSize } from './reading-size';
import { about, cueEntry, playedOf, seedOf, stoppedOf } from './tries';
import { tryEntry } from './try-entry';
import { useRound } from './use-round';

const Break = loadLate(() => import('./break').then((room) => room.Break));
const Done = loadLate(() => import('./done').then((room) => room.Done));
const AskVerdict = loadLate(() => import('./questions').then((room) => room.AskVerdict));
const AskBroke = loadLate(() => import('./questions').then((room) => room.AskBroke));
const AskSuffered = loadLate(() => import('./questions').then((room) => room.AskSuffered));
const AskLimb = loadLate(() => import('./questions').then((room) => room.AskLimb));

/** What comes after playing, which the first view does not wait for. */
const AFTER = [Break, Done, AskVerdict, AskBroke, AskSuffered, AskLimb];

export function Stand({
  person,
  round,
  fresh,
  home,
  lesson = null,
  more: readMore,
}: {
  person: PersonId;
  round: Round;
  /** Was asked for by item or minutes, so that an earlier round is not taken up again. */
  fresh: boolean;
  /** Where one goes from the stand. */
  home: string;
  /** The student, where the teacher stands beside the kit and judges. */
  lesson?: string | null;
  /** What is left to play, or all that is due once more. */
  more: () => Promise<Result<Round>>;
}) {
  const { say } = useSpeech();
  const { stand, dispatch, log, end, settings, set, session } = useRound(person, round, fresh);
  const { stage } = stand;
  const item = itemOf(stand);
  const playback = usePlayback();
  const router = useRouter();
  const [tapped, setTapped] = useState<{ of: string; bpm: number } | null>(null);
  const [chosen, setChosen] = useState<{ of: string; bpm: number } | null>(null);
  useAwake();
  useEffect(() => AFTER.forEach((part) => part.load()), []);

  const places = stage.kind === 'playing' ? stage.places : null;
  const plans = useMemo((): readonly (SlotPlan | null)[] => {
    const next = places ?? (stage.kind === 'ready' ? placesFrom(stand, settings.handsFree) : []);
    return next.map((place, index) => {
      const of = itemAt(stand, place) ?? item;
      const { cutTo } = stand.slots[place] ?? { cutTo: null };
      const own = (one: typeof tapped) => (one?.of === of.item.id ? one.bpm : null);
      const on = {
        ...{ first: index === 0, tapped: own(tapped), chosen: own(chosen) },
        seed: seedOf(round.day, of, index),
      };
      return planSlot(of, { cutTo }, settings, on);
    });
    // oxlint-disable-next-line react/exhaustive-deps -- what is played stays as it began
  }, [places, stand.items, stand.slots, stand.place, stage.kind, settings, tapped, chosen]);
  const playable = plans.filter((plan) => plan !== null);
  const [now] = playable;

  /** Taps of the bar that starts. */
  const [taps, setTaps] = useState<readonly number[]>([]);
  const barTaps = settings.tapIn && now ? beats(now.exercise.meter).length : 0;
  const tapsLeft = barTaps - taps.length;

  /** Starts, or takes a tap of the bar that starts; the downbeat comes a beat after the last one. */
  function startOrTap() {
    if (barTaps === 0 || !now) return start();
    const at = performance.now();
    const late = at - (taps.at(-1) ?? at) > LONGEST_TAP_MS;
    const next = late ? [at] : [...taps, at];
    if (next.length < barTaps) return setTaps(next);
    setTaps([]);
    const beatTicks = now.exercise.barTicks / barTaps;
    window.setTimeout(start, 1000 * secondsAt(now.tempi, beatTicks));
  }

  function start() {
    if (stage.kind !== 'ready' || playable.length < plans.length || !now) return;
    dispatch({
      kind: 'start',
      places: placesFrom(stand, settings.handsFree),
      stays: settings.stays,
    });
    const parts = playable.map(({ score, tempi }) => ({ score, tempi }));
    void playback.play(parts, {
      onPart(index) {
        const plan = playable[index];
        if (plan) keepTry(playedOf(plan));
      },
      onOver: () => dispatch({ kind: 'over' }),
      onSlept: (to) => stopping.current(to, true),
    });
  }

  /** Plays all limbs of what comes, once around and again until it is stopped; nothing of it is a try. */
  function hear() {
    if (playback.playing) playback.stop();
    else if (now) void playback.start(scoreOf(now.exercise), now.tempo);
  }

  /** Another tempo for what comes, null for its rung's; what is heard follows at once. */
  function chooseTempo({ item: { item: of, state }, exercise }: SlotPlan, to: number | null) {
    setChosen(to === null ? null : { of: of.id, bpm: to });
    if (playback.playing)
      playback.change({ tempo: tempoFor(exercise.meter, bpm(to ?? state.bpm)) });
  }

  /** What was played is in the log before anybody says how it went. */
  function keepTry(played: Played) {
    log(tryEntry(played, session()));
    dispatch({ kind: 'part', played });
  }

  /** Ends what is played, with what there is of it. */
  function stopAt(to: PlayedTo | null, slept = false) {
    if (stage.kind !== 'playing') return;
    const plan = to ? playable[to.part] : undefined;
    end(plan && to ? stoppedOf(plan, to.ticks) : null, slept);
  }

  // What plays was begun by an earlier drawing, and ends in the present one.
  const stopping = useRef(stopAt);
  useEffect(() => {
    stopping.current = stopAt;
  });
  const { stop } = playback;
  useEffect(() => {
    const onLeave = () => stopping.current(stop());
    window.addEventListener('pagehide', onLeave);
    return () => {
      window.removeEventListener('pagehide', onLeave);
      onLeave();
    };
  }, [stop]);

  function judge(verdict: Verdict | null) {
    const [played] = stand.judging;
    if (stage.kind !== 'verdict' || !played) return;
    if (verdict === null) dispatch({ kind: 'silent' });
    else log({ kind: 'judged', ...about(played.id), body: { verdict } });
  }

  useEffect(() => {
    if (stage.kind === 'ready' && stage.atOnce) start();
    // oxlint-disable-next-line react/exhaustive-deps -- once, for the touch that asked for it
  }, [stage]);

  function suffer(what: SufferingId | null, limb?: Limb | null) {
    if (stage.kind !== 'suffered' && stage.kind !== 'limb') return;
    if (what === null || (limb === undefined && asksLimb(what))) {
      dispatch({ kind: 'suffered', what });
      return;
    }
    log({ kind: 'suffered', ...about(stage.tryId), body: { what, limb: limb ?? null } });
  }

  function breakAt(beat: number | null) {
    if (stage.kind !== 'broke') return;
    if (beat === null) return dispatch({ kind: 'nowhere' });
    log({ kind: 'broke', ...about(stage.tryId), body: { beat } });
  }

  function skip() {
    playback.stop();
    dispatch({ kind: 'skip' });
  }

  async function more() {
    const answer = await attemptOrSay(readMore);
    if (!answer) return;
    if (answer.value.slots.length === 0) toast.message(say.t('screen.stand.nothingMoreIsDueToday'));
    else dispatch({ kind: 'more', ...answer.value });
  }

  const take = (of: StandStage) => {
    switch (of.kind) {
      case 'verdict':
        return judge(of.options[of.cursor ?? 0] ?? null);
      case 'broke':
        return breakAt(of.options[of.cursor ?? 0] ?? null);
      case 'suffered':
        return suffer(of.options[of.cursor ?? 0] ?? null);
      case 'limb':
        return suffer(of.what, of.options[of.cursor ?? 0] ?? null);
      case 'ready':
        return startOrTap();
      case 'break':
        return dispatch({ kind: 'skip' });
      case 'done':
        return void more();
      case 'playing':
        return;
    }
  };

  function press(side: Side) {
    if (side === 'right') take(stage);
    else if (stage.kind === 'ready') skip();
    else if (stage.kind === 'playing') stopAt(playback.stop());
    else if (stage.kind === 'done') router.push(home);
    else dispatch({ kind: 'step' });
  }

  useHotkeys('*', (event) => {
    const side = sideOf(event);
    if (!side) return;
    event.preventDefault();
    if (!event.repeat) press(side);
  });
  const again = () => dispatch({ kind: 'again' });
  useHotkeys('h', () => stage.kind === 'ready' && hear());
  const silent = () => dispatch({ kind: 'silent' });
  useHotkeys('a', again);
  const before = stand.played;
  const [cue, ...others] = before?.cues ?? [];
  const watched =
    before && cue && others.length === 0 ? sayCueLine(say, cue, before.plays.meter) : null;

  if (stage.kind === 'ready' && playable.length < plans.length) {
    const alone = stand.slots.length < 2;
    return <Broken item={item} onSkip={() => dispatch({ kind: 'skip' })} alone={alone} />;
  }
  const playedBefore =
    stand.played && planSlot(stand.played, { cutTo: null }, settings, PLAIN)?.exercise;
  return (
    <main
      className="stand flex h-dvh flex-col gap-3 p-4"
      data-stage={stage.kind}
      style={readingSize(settings)}
    >
      {stage.kind !== 'playing' && stage.kind !== 'done' && (
        <Head
          stand={stand}
          item={item}
          settings={settings}
          onSet={set}
          home={home}
          lesson={lesson}
          onLeave={() => endRound(person)}
        />
      )}
      {stage.kind === 'ready' && now && (
        <Ready
          key={`ready ${stand.place} ${stand.slots.length}`}
          plan={now}
          written={settings}
          next={playable.length - 1}
          cue={cuesFor(say, stand, now.item)[0] ?? null}
          notice={stand.notice}
          caution={stand.place === 0 ? round.caution : null}
          onTap={(bpm) => setTapped({ of: now.item.item.id, bpm })}
          onTempo={(bpm) => chooseTempo(now, bpm)}
          hearing={playback.playing}
          onHear={hear}
          again={before && before.item.id !== now.item.item.id ? before.item.name : null}
          onAgain={again}
          tapsLeft={barTaps === 0 ? null : tapsLeft}
          onStart={startOrTap}
        />
      )}
      {stage.kind === 'playing' && (
        <Playing
          plans={playable}
          written={settings}
          playback={playback}
          cuesOf={(of) => cuesFor(say, stand, of)}
          onStop={() => stopAt(playback.stop())}
        />
      )}
      {stage.kind === 'break' && (
        <Break
          onOver={() => dispatch({ kind: 'skip' })}
          again={before?.item.name}
          onAgain={again}
        />
      )}
      {stage.kind === 'verdict' && stand.judging[0] && (
        <AskVerdict
          key={stand.judged.length}
          question={stage}
          played={stand.judging[0]}
          left={stand.judging.length - 1}
          onAnswer={judge}
        />
      )}
      {stage.kind === 'broke' && playedBefore && (
        <AskBroke question={stage} exercise={playedBefore} onAnswer={breakAt} onOver={silent} />
      )}
      {stage.kind === 'suffered' && (
        <AskSuffered question={stage} cue={watched} onAnswer={suffer} onOver={silent} />
      )}
      {stage.kind === 'limb' && (
        <AskLimb question={stage} what={stage.what} onAnswer={(limb) => suffer(stage.what, limb)} />
      )}
      {stage.kind === 'done' && (
        <Done
          stand={stand}
          onWrite={(of, tryId, text) =>
            log(
              lesson === null
                ? { kind: 'remark', ...about(tryId), body: { text } }
                : cueEntry(of, text, session()),
            )
          }
          lesson={lesson !== null}
          again={before?.item.name}
          onAgain={again}
          onMore={() => void more()}
          onFinish={() => router.push(home)}
        />
      )}
    </main>
  );
}

/** For an exercise alone, however it was played. */
const PLAIN = { first: true, tapped: null, seed: 1 };

/** A tap later than this begins anew. */
const LONGEST_TAP_MS = 3000;
