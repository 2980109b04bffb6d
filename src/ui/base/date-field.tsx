'use client';

import { useRef, useState } from 'react';
import type { Day } from '@/core/calendar';

/** Date fields take years of four figures. */
const LAST_DAY = '9999-12-31';

/** A date field gives a day that there is, or nothing; only years can be too long. */
const WHOLE_DAY = /^\d{4}-\d\d-\d\d$/;

/** A day of the calendar, from `min` on. A picked one is taken at once; one that is typed, figure by figure,
 * when the field is left or Enter is pressed, because half of a date is another date. */
export function DateField({
  label,
  value,
  min,
  onTake,
  required = false,
}: {
  label: string;
  value: Day | null;
  min?: Day;
  /** Null where the field was emptied. */
  onTake: (day: Day | null) => void;
  required?: boolean;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const byKey = useRef(false);

  function take(text: string | null) {
    if (text === null) return;
    setTyped(null);
    const day = WHOLE_DAY.test(text) ? text : null;
    const fits = day === null ? text === '' && !required : min === undefined || day >= min;
    if (fits && day !== value) onTake(day);
  }

  return (
    <input
      type="date"
      aria-label={label}
      min={min}
      max={LAST_DAY}
      required={required}
      className="field"
      value={typed ?? value ?? ''}
      onChange={(event) => {
        if (byKey.current) setTyped(event.target.value);
        else take(event.target.value);
      }}
      onKeyDown={(event) => {
        byKey.current = true;
        if (event.key === 'Enter') take(typed);
        if (event.key === 'Escape') setTyped(null);
      }}
      onKeyUp={() => {
        byKey.current = false;
      }}
      onBlur={() => take(typed)}
    />
  );
}
