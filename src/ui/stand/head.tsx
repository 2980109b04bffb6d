'use client';

import { clsx } from 'clsx';
import { X } from 'lucide-react';
import { rungAt } from '@/core/ladder';
import { itemKey, type StandItem } from '@/core/studio';
import { buttonLook, useSpeech, Link } from '../base';
import { LogMark } from '../log';
import type { SetUp as Settings } from './kept';
import { placeInRound } from './place-in-round';
import type { Stand } from './round';
import { SetUp } from './set-up';

/** What is on the stand, and where in the round; the set-up while nothing plays. */
export function Head({
  stand,
  item,
  settings,
  onSet,
  home,
  lesson,
  onLeave,
}: {
  stand: Stand;
  item: StandItem;
  settings: Settings;
  onSet: (change: Partial<Settings>) => void;
  home: string;
  /** The student, in a lesson. */
  lesson: string | null;
  onLeave: () => void;
}) {
  const { say } = useSpeech();
  const { stage, judging, place, slots } = stand;
  const named = stage.kind === 'verdict' ? (judging[0]?.item ?? item) : (asked(stand) ?? item);
  return (
    <header className="flex flex-wrap items-baseline gap-x-4">
      <h1 className="min-w-0 basis-full font-serif text-2xl text-balance sm:flex-1 sm:basis-0 sm:text-3xl">
        {named.item.name}
      </h1>
      <span className="text-xl text-soft">
        {lesson !== null && `${lesson} · `}
        {say.t('screen.stand.placeInRound', {
          kind: KINDS[slots[place]?.kind ?? 'new'],
          on: slots[place]?.on ?? 'kit',
          ...placeInRound(stand, named),
        })}
      </span>
      <LogMark />
      {stage.kind === 'ready' && (
        <SetUp
          settings={settings}
          of={{ item: itemKey(item), rung: rungAt(item.state.rungs, item.state.rung).key }}
          onSet={onSet}
        />
      )}
      <Link
        href={home}
        onClick={onLeave}
        className={clsx(buttonLook('quiet'), 'ml-auto')}
        aria-label={say.t('screen.stand.leaveTheStand')}
      >
        <X size={24} aria-hidden />
      </Link>
    </header>
  );
}

/** What the questions after a try are about. */
function asked({ stage, played }: Stand): StandItem | null {
  return stage.kind === 'broke' || stage.kind === 'suffered' || stage.kind === 'limb'
    ? played
    : null;
}

const KINDS = { 'warm-up': 'warm', new: 'new', review: 'review', break: 'new' } as const;
