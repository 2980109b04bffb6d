'use client';

import { useRouter } from 'next/navigation';
import type { Result } from '@/core/issue';
import type { StarterId, StarterItemId } from '@/core/program';
import type { ProgramId } from '@/core/studio';
import { sayStarter, sayStarterCue, sayStarterItem, sayStarterUse, starterNames } from '@/words';
import { attemptOrSay, Button, useSpeech, Link } from '../base';

/** A starter program, with the address at which each of its items is looked at. */
export interface ShownStarter {
  readonly id: StarterId;
  readonly items: readonly { readonly id: StarterItemId; readonly link: string }[];
}

export type CopyStarter = (
  id: StarterId,
  names: { program: string; items: string[]; cues: string[] },
) => Promise<Result<ProgramId>>;

/** Programs that ship: looked through where they stand, and copied at a touch. */
export function StarterList({
  starters,
  copy,
}: {
  starters: readonly ShownStarter[];
  copy: CopyStarter;
}) {
  const { say } = useSpeech();
  const router = useRouter();

  async function take(starter: ShownStarter) {
    const made = await attemptOrSay(() => copy(starter.id, starterNames(say, starter)));
    if (made) router.push(`/programs/${made.value}`);
  }

  return (
    <section aria-label={say.t('screen.programs.starters')}>
      <h2 className="label border-b border-line py-1">{say.t('screen.programs.starters')}</h2>
      <ul>
        {starters.map((starter) => (
          <li key={starter.id} className="flex items-start gap-4 border-b border-line py-2">
            <details className="min-w-0 flex-1">
              <summary className="cursor-pointer">
                <span className="font-serif text-lg">{sayStarter(say, starter.id)}</span>{' '}
                <span className="ml-2 text-soft">
                  {say.t('screen.programs.starterUse', {
                    use: sayStarterUse(say, starter.id),
                    count: starter.items.length,
                  })}
                </span>
              </summary>
              <ol className="list-decimal py-1 pl-9">
                {starter.items.map((item) => (
                  <li key={item.id}>
                    <Link className="hover:underline" href={item.link}>
                      {sayStarterItem(say, item.id)}
                    </Link>
                    <span className="ml-2 text-sm text-soft">{sayStarterCue(say, item.id)}</span>
                  </li>
                ))}
              </ol>
            </details>
            <Button
              aria-label={say.t('screen.programs.copyStarter', {
                name: sayStarter(say, starter.id),
              })}
              onClick={() => void take(starter)}
            >
              {say.t('screen.programs.copy')}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
