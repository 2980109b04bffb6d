'use client';

import type { StandItem } from '@/core/studio';
import { Button, buttonLook, useSpeech, Link } from '../base';

/** An exercise that an older or damaged file cannot play. */
export function Broken({
  item,
  alone,
  onSkip,
}: {
  item: StandItem;
  alone: boolean;
  onSkip: () => void;
}) {
  const { say } = useSpeech();
  return (
    <main className="m-auto flex max-w-2xl flex-col gap-4 p-8">
      <h1 className="font-serif text-3xl">{item.item.name}</h1>
      <p className="text-xl">{say.t('screen.stand.thisExerciseCannotBePlayedAs')}</p>
      {!alone && (
        <Button look="main" onClick={onSkip}>
          {say.t('screen.stand.theNextOne')}
        </Button>
      )}
      <Link href="/today" className={buttonLook()}>
        {say.t('screen.stand.backToToday')}
      </Link>
    </main>
  );
}
