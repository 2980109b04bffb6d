'use client';

import { Play, Square } from 'lucide-react';
import { createContext, useContext, useState, type ReactNode } from 'react';
import { ok } from '@/core/issue';
import type { ClosedRecipe } from '@/core/recipe';
import { tempoFor, type Bpm } from '@/core/time';
import { attemptOrSay, Button, useSpeech } from '../base';
import { usePlayback } from '../play';

/** What is heard: an exercise as it is to be played, at its tempo. */
interface Heard {
  readonly id: string;
  readonly recipe: ClosedRecipe;
  readonly bpm: Bpm;
}

const HearingContext = createContext<{
  readonly heard: string | null;
  readonly hear: (what: Heard) => Promise<void>;
}>({ heard: null, hear: () => Promise.resolve() });

/** Around exercises of which one at a time can be heard: a touch on what plays stops it. */
export function Hearing({ children }: { children: ReactNode }) {
  const playback = usePlayback();
  const [last, setLast] = useState<string | null>(null);
  const heard = playback.playing ? last : null;

  async function hear({ id, recipe, bpm }: Heard) {
    if (heard === id) return void playback.stop();
    setLast(id);
    const rooms = await attemptOrSay(async () =>
      ok(await Promise.all([import('@/core/recipe'), import('@/core/playing')])),
    );
    if (!rooms) return;
    const [{ expand }, { scoreOf }] = rooms.value;
    const exercise = expand(recipe);
    if (!exercise.ok) return;
    await playback.start(scoreOf(exercise.value), tempoFor(exercise.value.meter, bpm));
  }

  return <HearingContext value={{ heard, hear }}>{children}</HearingContext>;
}

/** Plays an exercise before it is practised. */
export function HearIt({ name, ...what }: Heard & { readonly name: string }) {
  const { say } = useSpeech();
  const { heard, hear } = useContext(HearingContext);
  const playing = heard === what.id;
  return (
    <Button
      aria-pressed={playing}
      aria-label={say.t('screen.today.hearExercise', { name })}
      onClick={() => void hear(what)}
      className="inline-flex min-h-11 items-center gap-2"
    >
      {playing ? <Square size={16} aria-hidden /> : <Play size={16} aria-hidden />}
      {say.t('screen.common.hearIt')}
    </Button>
  );
}
