'use client';

import Link from 'next/link';
import type { StandItem } from '@/core/studio';
import { Button, buttonLook } from '../base';

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
  return (
    <main className="m-auto flex max-w-2xl flex-col gap-4 p-8">
      <h1 className="font-serif text-3xl">{item.item.name}</h1>
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
