'use client';

import { Button, useSpeech } from '../base';

/** What is done with several rows at once. */
export function ManyPanel({
  count,
  onDrop,
  onOnly,
  onPin,
}: {
  count: number;
  onDrop: () => void;
  /** Keeps these and no others. */
  onOnly: () => void;
  /** Where there are ends to pin them to. */
  onPin?: (end: 'first' | 'last') => void;
}) {
  const { say } = useSpeech();
  const title = say.t('screen.variations.chosenRows', { count });
  return (
    <section
      aria-label={title}
      className="flex flex-wrap items-center gap-2 border-b border-line pb-2"
    >
      <span className="mr-auto">{title}</span>
      <Button onClick={onOnly}>{say.t('screen.variations.onlyThese')}</Button>
      <Button onClick={onDrop}>{say.t('screen.variations.drop')}</Button>
      {onPin && (
        <span className="flex">
          <Button look="quiet" onClick={() => onPin('first')}>
            {say.t('screen.variations.first')}
          </Button>
          <Button look="quiet" onClick={() => onPin('last')}>
            {say.t('screen.variations.last')}
          </Button>
        </span>
      )}
    </section>
  );
}
