'use client';

import { Button, useSpeech } from '../base';
import type { FamilyWork } from './use-family-work';

/** How far the work on a family is, with a way to stop it and to begin it again. */
export function Progress({ work, waiting }: { work: FamilyWork; waiting: boolean }) {
  const { say } = useSpeech();
  const { state, done, size } = work;
  if (state === 'died') {
    return (
      <span role="alert" className="text-sm">
        {say.t('screen.variations.calculationStopped')}{' '}
        <Button look="quiet" onClick={work.again}>
          {say.t('screen.variations.tryAgain')}
        </Button>
      </span>
    );
  }
  if (state === 'stopped') {
    return (
      <span role="status" className="text-sm text-soft">
        {say.t('screen.variations.stoppedAt', { done, size })}{' '}
        <Button look="quiet" onClick={work.again}>
          {say.t('screen.variations.startAgain')}
        </Button>
      </span>
    );
  }
  if (state === 'working' && size > 0) {
    return (
      <span role="status" className="flex items-center gap-2 text-sm text-soft">
        <progress
          aria-label={say.t('screen.variations.variationsMade')}
          value={done}
          max={size}
          className="w-28"
        />
        <Button look="quiet" onClick={work.stop}>
          {say.t('screen.common.stop')}
        </Button>
      </span>
    );
  }
  return (
    <span role="status" className="text-sm text-soft">
      {waiting ? say.t('screen.variations.sorting') : ''}
    </span>
  );
}
