'use client';

import { Button } from '../base';
import type { FamilyWork } from './use-family-work';

/** How far the work on a family is, with a way to stop it and to begin it again. */
export function Progress({ work, waiting }: { work: FamilyWork; waiting: boolean }) {
  const { state, done, size } = work;
  if (state === 'died') {
    return (
      <span role="alert" className="text-sm">
        The calculation stopped; nothing is lost.{' '}
        <Button look="quiet" onClick={work.again}>
          try again
        </Button>
      </span>
    );
  }
  if (state === 'stopped') {
    return (
      <span role="status" className="text-sm text-soft">
        stopped at {done.toLocaleString('en')} of {size.toLocaleString('en')}{' '}
        <Button look="quiet" onClick={work.again}>
          start again
        </Button>
      </span>
    );
  }
  if (state === 'working' && size > 0) {
    return (
      <span role="status" className="flex items-center gap-2 text-sm text-soft">
        <progress aria-label="Variations made" value={done} max={size} className="w-28" />
        <Button look="quiet" onClick={work.stop}>
          stop
        </Button>
      </span>
    );
  }
  return (
    <span role="status" className="text-sm text-soft">
      {waiting ? 'sorting…' : ''}
    </span>
  );
}
