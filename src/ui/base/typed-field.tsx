'use client';

import {
  useId,
  useState,
  type InputHTMLAttributes,
  type KeyboardEvent,
  type ReactNode,
} from 'react';

type InputProps = Pick<
  InputHTMLAttributes<HTMLInputElement>,
  'inputMode' | 'maxLength' | 'placeholder' | 'title'
>;

/** Marks a field that holds what is not taken yet: Escape is its own then. */
export const TYPING = 'data-typing';

const STEPS: Readonly<Record<string, number>> = {
  ArrowUp: 1,
  ArrowDown: -1,
  PageUp: 5,
  PageDown: -5,
};

/** A field whose text is taken as soon as it can be read: on Enter, when the field is left, or with `live`
 * while it is typed. What cannot be read stays as it was typed, and is said once the field is left or Enter
 * is pressed; Escape puts back what was there. */
export function TypedField<T>({
  label,
  value,
  write,
  read,
  trouble,
  onTake,
  step,
  live = false,
  className = 'field',
  inputMode = 'numeric',
  ...rest
}: InputProps & {
  label: string;
  value: T;
  write: (value: T) => string;
  /** @returns undefined for what cannot be read */
  read: (text: string) => T | undefined;
  /** What can be typed, said where it could not be read. */
  trouble?: ReactNode;
  onTake: (value: T) => void;
  /** What the arrow keys make of a value, by 1 and by 5. */
  step?: (value: T, by: number) => T;
  live?: boolean;
  className?: string;
}) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const [tried, setTried] = useState(false);
  const found = typed === null ? value : read(typed);
  const wrong = found === undefined && tried;

  function set(text: string | null) {
    setTyped(text);
    if (text === null) setTried(false);
  }

  function give(next: T) {
    if (write(next) !== write(value)) onTake(next);
  }

  function take() {
    if (typed === null) return;
    if (found === undefined) return setTried(true);
    set(null);
    give(found);
  }

  function onKeyDown(event: KeyboardEvent) {
    if (event.key === 'Enter') take();
    if (event.key === 'Escape') set(null);
    const by = STEPS[event.key];
    if (!step || by === undefined) return;
    event.preventDefault();
    set(null);
    give(step(found ?? value, by));
  }

  return (
    <>
      <input
        aria-label={label}
        aria-invalid={wrong}
        aria-describedby={wrong ? id : undefined}
        inputMode={inputMode}
        className={className}
        value={typed ?? write(value)}
        onChange={(event) => {
          const { value: text } = event.target;
          set(text);
          const next = live ? read(text) : undefined;
          if (next !== undefined) give(next);
        }}
        onBlur={take}
        onKeyDown={onKeyDown}
        {...rest}
        {...(typed !== null && { [TYPING]: '' })}
      />
      {wrong && (
        <span id={id} role="alert" className="block border-l-3 border-warm pl-2 text-sm">
          {trouble}
        </span>
      )}
    </>
  );
}
