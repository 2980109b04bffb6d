'use client';

import type { ChangeValue } from '@/core/family';
import { loadLate, Pop, PopRoot, PopTrigger } from '../base';

type Range = Exclude<ChangeValue, { kind: 'one' }>;

const RangeFields = loadLate(() => import('./range-fields').then((room) => room.RangeFields));

/** A range, its ends at hand. */
export function RangeEditor({
  says,
  ...fields
}: {
  value: Range;
  says: string;
  onChange: (value: Range) => void;
}) {
  return (
    <PopRoot>
      <PopTrigger className="phrase" onFocus={RangeFields.load} onPointerEnter={RangeFields.load}>
        {says}
      </PopTrigger>
      <Pop className="flex flex-col gap-2 p-3">
        <RangeFields {...fields} />
      </Pop>
    </PopRoot>
  );
}
