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
import { keepOf, standReducer, startStand, type Stand, type StandAction } from './machine';

interface RoundHeld {
  readonly stand: Stand;
  readonly dispatch: Dispatch<StandAction>;
  /** Puts an entry into the log, and goes on with it at once. */
  readonly log: (entry: Posted) => void;
  readonly settings: SetUp;
  readonly set: (change: Partial<SetUp>) => void;
  /** The sitting that entries belong to; it begins with the first. */
  readonly session: () => SessionId;
}

/** A round at the stand as this browser holds it: it is taken up where a closed page left it, what is
 * judged goes into the log, and nothing is lost on the way or waited for.
 * @param fresh was asked for by item or minutes: only a verdict that is still open is taken up */
export function useRound(person: PersonId, round: Round, fresh: boolean): RoundHeld {
  const [stand, dispatch] = useReducer(standReducer, null, () =>
    startStand(round.items, round.slots, round.day),
  );
  const { stage } = stand;
  const sender = useSender();
  const session = useRef<SessionId | null>(null);
  const [settings, setSettings] = useState<SetUp>(USUAL_SET_UP);

  useEffect(() => {
    // eslint-disable-next-line react-hooks/set-state-in-effect -- the browser's store, once it is there
    setSettings(readSetUp());
    const entries = sender.entries();
    if (entries.length > 0) dispatch({ kind: 'waiting', entries });
    const kept = readRound(person, round.day);
    if (kept && (!fresh || kept.judging.length > 0)) {
      session.current = kept.session;
      dispatch({ kind: 'resume', kept });
    }
    return sender.onLearnt((learnt) => dispatch({ kind: 'learnt', ...learnt }));
  }, [person, round.day, fresh, sender]);

  useEffect(() => {
    if (stage.kind === 'done') return endRound(person);
    const kept = keepOf(stand);
    if (kept) keepRound(person, { ...kept, day: round.day, session: session.current });
  }, [person, round.day, stage.kind, stand]);

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
    session: () => (session.current ??= newId<'session'>()),
  };
}
