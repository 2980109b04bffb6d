'use client';

import { Play, Square } from 'lucide-react';
import { memberAt, type OpenedFamily } from '@/core/family';
import { difficultyParts, hindrances } from '@/core/analysis';
import type { Exercise } from '@/core/recipe';
import { tempoFor, type Bpm } from '@/core/time';
import { sayDifficultyPart, sayHindrance, sayMember, sayMemberStep } from '@/words';
import { Button, useSpeech } from '../base';
import { ScoreSheet } from '../marks';
import type { Playback } from '../play';
import { RecipeLink } from '../shell/recipe-link';
import type { Members } from './use-members';

/** The chosen variation, and the one that it is compared with. */
export function MemberPanel({
  opened,
  members,
  index,
  number,
  stands,
  stops,
  compared,
  heard,
  tempo,
  playback,
  onHear,
  onDrop,
  onPin,
  onStop,
  onCompare,
}: {
  opened: OpenedFamily;
  members: Members;
  index: number;
  number: number;
  /** At which end it is pinned. */
  stands: 'first' | 'last' | null;
  /** Whether the path ends with it. */
  stops: boolean;
  compared: number | null;
  /** Whether it plays just now. */
  heard: boolean;
  tempo: Bpm;
  playback: Playback;
  onHear: (index: number) => void;
  onDrop: () => void;
  onPin: (end: 'first' | 'last') => void;
  onStop: () => void;
  onCompare: (index: number | null) => void;
}) {
  const { say } = useSpeech();
  const exercise = members.exerciseOf(index);
  const other = compared !== null && compared !== index ? members.exerciseOf(compared) : null;
  if (!exercise) return null;
  return (
    <section aria-label={say.t('screen.variations.variation')} className="flex flex-col gap-2">
      <h2 className="font-serif text-xl leading-6">
        {number}. {sayMember(say, opened, memberAt(opened, index))}
      </h2>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => onHear(index)} aria-pressed={heard}>
          {heard ? <Square size={14} aria-hidden /> : <Play size={14} aria-hidden />}
          {heard ? say.t('screen.common.stopCapital') : say.t('screen.common.hearCapital')}
        </Button>
        <RecipeLink look="plain" recipe={members.recipeOf(index)}>
          {say.t('screen.common.toTheBenchCapital')}
        </RecipeLink>
        <Button onClick={onDrop}>{say.t('screen.variations.drop')}</Button>
        <Button
          aria-pressed={compared === index}
          onClick={() => onCompare(compared === index ? null : index)}
        >
          {say.t('screen.common.compare')}
        </Button>
        <span className="flex">
          <Button look="quiet" onClick={() => onPin('first')} aria-pressed={stands === 'first'}>
            {say.t('screen.variations.first')}
          </Button>
          <Button look="quiet" onClick={() => onPin('last')} aria-pressed={stands === 'last'}>
            {say.t('screen.variations.last')}
          </Button>
          <Button look="quiet" onClick={onStop} aria-pressed={stops}>
            {say.t('screen.variations.stopHere')}
          </Button>
        </span>
      </div>
      <ScoreSheet exercise={exercise} shows="lanes" subscribe={playback.subscribe} />
      <Facts exercise={exercise} tempo={tempo} />
      {other && compared !== null && (
        <section
          aria-label={say.t('screen.variations.comparedWith')}
          className="border-t border-line pt-2"
        >
          <h3 className="flex items-baseline gap-2">
            <span className="label">{say.t('screen.variations.against')}</span>
            <span className="min-w-0 flex-1 font-serif">
              {sayMember(say, opened, memberAt(opened, compared))}
            </span>
            <Button look="quiet" onClick={() => onHear(compared)}>
              {say.t('screen.variations.hear')}
            </Button>
            <Button look="quiet" onClick={() => onCompare(null)}>
              {say.t('screen.variations.done')}
            </Button>
          </h3>
          <p className="text-sm text-soft">
            {sayMemberStep(say, opened, memberAt(opened, index), memberAt(opened, compared)).join(
              ' · ',
            ) || say.t('screen.variations.theSameValues')}
          </p>
          <ScoreSheet exercise={other} shows="lanes" />
          <Facts exercise={other} tempo={tempo} />
        </section>
      )}
    </section>
  );
}

function Facts({ exercise, tempo: bpm }: { exercise: Exercise; tempo: Bpm }) {
  const { say } = useSpeech();
  const tempo = tempoFor(exercise.meter, bpm);
  const parts = difficultyParts(exercise, tempo);
  const warned = hindrances(exercise, tempo);
  return (
    <div className="text-sm">
      <p className="text-soft">
        {parts
          .map((one) => `${sayDifficultyPart(say, one.facts)} ${one.points.toFixed(2)}`)
          .join(' · ')}
      </p>
      {warned.slice(0, 3).map((one, nth) => {
        const { where, reason } = sayHindrance(say, one, exercise);
        return (
          <p key={nth} className="border-l-3 border-warm pl-2">
            <b>{where}.</b> {reason}
          </p>
        );
      })}
    </div>
  );
}
