'use client';

import { useEffect, useReducer, useRef, useState, type Dispatch } from 'react';
import type { PersonId, Round, SessionId } from '@/core/studio';
import type { Posted } from '@/core/log';
import { newId } from '../base';
import { useSender } from '../log';
import {
  endRound,
  keepRound,
  keepSetUp,
  readRound,
  readSetUp,
  USUAL_SET_UP,
  type SetUp,
} from './kept';
import { standReducer, type StandAction } from './machine';
import { startStand, type Played, type Stand } from './round';
import { keepOf } from './taking-up';
import { tryEntry } from './try-entry';

interface RoundHeld {
  readonly stand: Stand;
  readonly dispatch: Dispatch<StandAction>;
  /** Puts an entry into the log, and goes on with it at once. */
  readonly log: (entry: Posted) => void;
  /** Ends what is played, and keeps where the round stands before anything else can happen: the page may be
   * on its way out. @param played what was stopped; null where nothing counts */
  readonly end: (played: Played | null, slept: boolean) => void;
  readonly settings: SetUp;
  readonly set: (change: Partial<SetUp>) => void;
  /** The sitting that entries belong to; it begins with the first. */
  readonly session: () => SessionId;
}

/** A round at the stand as this browser holds it: it is taken up where a closed page left it, what is
 * judged goes into the log, and nothing is lost on the way or waited for.
 * @param fresh was asked for by item or minutes: only a verdict on that item is still asked for */
export function useRound(person: PersonId, round: Round, fresh: boolean): RoundHeld {
  const [stand, dispatch] = useReducer(standReducer, null, () =>
    startStand(round.items, round.slots, round.day),
  );
  const { stage } = stand;
  const sender = useSender();
  const session = useRef<SessionId | null>(null);
  const isKept = useRef(false);
  const [settings, setSettings] = useState<SetUp>(USUAL_SET_UP);

  useEffect(() => {
    // oxlint-disable-next-line react/set-state-in-effect -- the browser's store, once it is there
    setSettings(readSetUp());
    const entries = sender.entries();
    if (entries.length > 0) dispatch({ kind: 'waiting', entries });
    const kept = readRound(person, round.day);
    if (kept && (!fresh || kept.judging.length > 0)) {
      session.current = kept.session;
      dispatch({ kind: 'resume', kept, fresh });
    }
    // A question belongs to its try: once something else was opened, it is not asked any more.
    if (kept && fresh) keepRound(person, { ...kept, judging: [], asking: null });
    return sender.onLearnt((learnt) => dispatch({ kind: 'learnt', ...learnt }));
  }, [person, round.day, fresh, sender]);

  useEffect(() => {
    if (stage.kind === 'done') endRound(person);
    else if (keepStand(person, stand, session.current)) isKept.current = true;
    // What was kept here is over: nothing of it is asked again.
    else if (isKept.current) endRound(person);
  }, [person, stage.kind, stand]);
  const sitting = () => (session.current ??= newId<'session'>());

  return {
    stand,
    dispatch,
    log(entry) {
      dispatch({ kind: 'log', entry });
      sender.put(entry);
    },
    settings,
    set(change) {
      const next = { ...settings, ...change };
      setSettings(next);
      keepSetUp(next);
    },
    end(played, slept) {
      const entry = played && tryEntry(played, sitting());
      const logged: readonly StandAction[] =
        played && entry
          ? [
              { kind: 'log', entry },
              { kind: 'part', played },
            ]
          : [];
      const actions: readonly StandAction[] = [...logged, { kind: 'over', slept }];
      if (entry) sender.put(entry);
      keepStand(person, actions.reduce(standReducer, stand), session.current);
      actions.forEach(dispatch);
    },
    session: sitting,
  };
}

/** @returns whether there is anything to be kept */
function keepStand(person: PersonId, stand: Stand, session: SessionId | null): boolean {
  const kept = keepOf(stand);
  if (kept) keepRound(person, { ...kept, day: stand.day, session });
  return kept !== null;
}
