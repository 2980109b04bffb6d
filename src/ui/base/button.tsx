import { clsx } from 'clsx';
import type { ComponentProps } from 'react';

type Look = 'main' | 'plain' | 'quiet';

const LOOKS: Readonly<Record<Look, string>> = {
  main: 'bg-warm text-warm-ink px-3 font-semibold hover:brightness-110',
  plain: 'border border-line bg-sheet px-3 hover:border-soft',
  quiet: 'px-2 text-soft hover:bg-faint hover:text-ink',
};

/** The classes of a button, for links that look like one. */
export function buttonLook(look: Look = 'plain'): string {
  return clsx(
    'inline-flex h-8 items-center justify-center gap-1.5 rounded-sm whitespace-nowrap select-none aria-pressed:bg-ink aria-pressed:text-paper',
    LOOKS[look],
  );
}

export function Button({
  look = 'plain',
  className,
  type = 'button',
  ...rest
}: ComponentProps<'button'> & { look?: Look }) {
  return <button type={type} className={clsx(buttonLook(look), className)} {...rest} />;
}
