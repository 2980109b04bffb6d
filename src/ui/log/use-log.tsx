'use client';

import {
  createContext,
  useContext,
  useEffect,
  useState,
  useSyncExternalStore,
  type ReactNode,
} from 'react';
import type { PersonId } from '@/core/studio';
import { EMPTY_QUEUE, type Queue } from './queue';
import { LogSender } from './sender';

const SenderContext = createContext<LogSender | null>(null);

/** Holds what a student's browser still has to send, over all pages of the student. */
export function LogProvider({ person, children }: { person: PersonId; children: ReactNode }) {
  const [sender] = useState(() => new LogSender(person));
  useEffect(() => sender.start(), [sender]);
  return <SenderContext.Provider value={sender}>{children}</SenderContext.Provider>;
}

export function useSender(): LogSender {
  const sender = useContext(SenderContext);
  if (!sender) throw new Error('a student’s screen outside of its log');
  return sender;
}

/** What waits to be stored. */
export function useQueue(): Queue {
  const sender = useSender();
  return useSyncExternalStore(sender.subscribe, sender.snapshot, () => EMPTY_QUEUE);
}
