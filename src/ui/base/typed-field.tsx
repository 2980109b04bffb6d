'use client';

import { useId, useState } from 'react';

/** A field whose text is taken as soon as it can be read: on Enter, or when the field is left. What cannot be
 * read stays as it was typed, with its reason; Escape puts back what was there. */
export function TypedField<T>({
  label,
  value,
  write,
  read,
  trouble,
  onTake,
  className = '',
  inputMode = 'numeric',
}: {
  label: string;
  value: T;
  write: (value: T) => string;
  /** @returns null for what cannot be read */
  read: (text: string) => T | null;
  /** What can be typed, said where it could not be read. */
  trouble: string;
  onTake: (value: T) => void;
  className?: string;
  inputMode?: 'numeric' | 'decimal' | 'text';
}) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const found = typed === null ? value : read(typed);

  function take() {
    if (typed === null || found === null) return;
    setTyped(null);
    if (write(found) !== write(value)) onTake(found);
  }

  return (
    <>
      <input
        aria-label={label}
        aria-invalid={found === null}
        aria-describedby={found === null ? id : undefined}
        inputMode={inputMode}
        className={`field ${className}`}
        value={typed ?? write(value)}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => {
          if (event.key === 'Enter') take();
          if (event.key === 'Escape') setTyped(null);
        }}
      />
      {found === null && (
        <span id={id} role="alert" className="block border-l-3 border-warm pl-2 text-sm">
          {trouble}
        </span>
      )}
    </>
  );
}
