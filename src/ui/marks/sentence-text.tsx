import { Fragment } from 'react';
import type { ClosedRecipe } from '@/core/recipe';
import { sentenceParts, type Say } from '@/words';
import { LineNotation } from './line-notation';

/** The sentence, its reading line in notation.
 * @param also said after it */
export function SentenceText({
  say,
  recipe,
  also = [],
}: {
  say: Say;
  recipe: ClosedRecipe;
  also?: readonly string[];
}) {
  const plain = (text: string) => ({ text, notation: null });
  return [...sentenceParts(say, recipe), ...also.map(plain)].map(({ text, notation }, index) => (
    <Fragment key={index}>
      {index > 0 && ' · '}
      {text}
      {notation && (
        <>
          {' '}
          <LineNotation line={notation.line} say={say} opens={false} className="text-ink" />{' '}
          {notation.after}
        </>
      )}
    </Fragment>
  ));
}
