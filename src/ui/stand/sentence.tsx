import { asPlayed, type Exercise } from '@/core/recipe';
import type { StandItem } from '@/core/studio';
import { sayFitted } from '@/words';
import { useSpeech } from '../base';
import { SentenceText } from '../marks';

/** The exercise in words and notation, as this player plays it. */
export function Sentence({
  plays,
  exercise,
}: {
  plays: StandItem['plays'];
  exercise: Pick<Exercise, 'kit' | 'replaced'>;
}) {
  const { say } = useSpeech();
  return <SentenceText say={say} recipe={asPlayed(plays)} also={sayFitted(say, exercise)} />;
}
