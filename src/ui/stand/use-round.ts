'use client';

import { useEffect, useReducer, useRef, useState, type Dispatch } from 'react';
import type { PersonId, Round, SessionId } from '@/core/studio';
import { newId } from '../base';
import {
  endRound,
  keepRound,
  keepSetUp,
  readRound,
  readSetUp,
  USUAL_SET_UP,
  type SetUp,
} from './kept';
import { keepOf, standReducer, startStand, type Stand, type StandAction } from './machine';
import { send, unsent } from './outbox';

interface RoundHeld {
  readonly stand: Stand;
  readonly dispatch: Dispatch<StandAction>;
  readonly settings: SetUp;
  readonly set: (change: Partial<SetUp>) => void;
  /** The sitting that entries belong to; it begins with the first. */
  readonly session: () => SessionId;
}

/** A round at the stand as this browser holds it: it is taken up where a closed page left it, what is
 * judged goes into the log, and nothing is lost on the way.
 * @param fresh was asked for by item or minutes: only a verdict that is still open is taken up */
export function useRound(person: PersonId, round: Round, fresh: boolean): RoundHeld {
  const [stand, dispatch] = useReducer(standReducer, null, () =>
    startStand(round.items, round.slots),
  );
  const { stage } = stand;
  const session = useRef<SessionId | null>(null);
  const [settings, setSettings] = useState<SetUp>(USUAL_SET_UP);

  useEffect(() => {
    // eslint-disable-next-line react-hooks/set-state-in-effect -- the browser's store, once it is there
    setSettings(readSetUp());
    const kept = readRound(person, round.day);
    if (kept && (!fresh || kept.judging.length > 0)) {
      session.current = kept.session;
      dispatch({ kind: 'resume', kept });
    }
    const entry = unsent(person);
    if (entry) dispatch({ kind: 'restore', entry });
  }, [person, round.day, fresh]);

  useEffect(() => {
    if (stage.kind === 'done') return endRound(person);
    const kept = keepOf(stand);
    if (kept) keepRound(person, { ...kept, day: round.day, session: session.current });
  }, [person, round.day, stage.kind, stand]);

  const sending = stage.kind === 'storing' ? stage.entry : null;
  useEffect(() => {
    if (!sending) return;
    let current = true;
    void send(person, sending).then((sent) => {
      if (!current) return;
      if (sent.kind === 'stored') dispatch({ kind: 'stored', answer: sent.answer });
      else dispatch({ kind: 'refused', issues: sent.kind === 'refused' ? sent.issues : null });
    });
    return () => {
      current = false;
    };
  }, [person, sending]);

  return {
    stand,
    dispatch,
    settings,
    set(change) {
      const next = { ...settings, ...change };
      setSettings(next);
      keepSetUp(next);
    },
    session: () => (session.current ??= newId<'session'>()),
  };
}
