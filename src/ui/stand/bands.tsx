'use client';

import { clsx } from 'clsx';
import { useEffect, useState, type ReactNode } from 'react';
import { useSpeech } from '../base';

/** A full-width band for knuckle, finger or pedal. */
export function Band({
  children,
  onPress,
  main = false,
  marked = false,
  label,
  className,
}: {
  children: ReactNode;
  onPress: () => void;
  main?: boolean;
  /** Where the left pedal has stepped to. */
  marked?: boolean;
  /** What it is, where the words on it do not say. */
  label?: string;
  className?: string;
}) {
  return (
    <button
      type="button"
      onClick={onPress}
      aria-label={label}
      data-marked={marked || undefined}
      className={clsx(
        'flex w-full items-center justify-center gap-5 rounded-sm px-4',
        main ? 'bg-warm text-warm-ink' : 'border-2 border-line bg-sheet',
        marked && 'outline-6 -outline-offset-6 outline-warm',
        className,
      )}
    >
      {children}
    </button>
  );
}

/** A bar that empties while nobody presses; calls back once when it is empty. */
export function Patience({ seconds, onOver }: { seconds: number; onOver: () => void }) {
  const { say } = useSpeech();
  const [left, setLeft] = useState(seconds);
  useEffect(() => {
    const timer = setInterval(() => setLeft((now) => now - 1), 1000);
    return () => clearInterval(timer);
  }, []);
  useEffect(() => {
    if (left <= 0) onOver();
    // oxlint-disable-next-line react/exhaustive-deps -- once, when the time is up
  }, [left <= 0]);
  return (
    <div
      className="h-2 w-full bg-faint"
      role="timer"
      aria-label={say.t('screen.stand.secondsToAnswer', { left })}
    >
      <div className="h-full bg-soft" style={{ width: `${(100 * left) / seconds}%` }} />
    </div>
  );
}

/** Plays what was played last once more. */
export function Again({ name, onPress }: { name: string; onPress: () => void }) {
  const { say } = useSpeech();
  return (
    <Band onPress={onPress} className="stand-words h-20 shrink-0">
      <span className="truncate">{say.t('screen.stand.again', { name })}</span>
    </Band>
  );
}
