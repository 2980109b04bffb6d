'use client';

import { Popover } from 'radix-ui';
import type { ComponentProps } from 'react';
import { TYPING } from './typed-field';

/** What opens over the page beside its trigger. Closed, it gives the focus back, unless the focus has
 * gone elsewhere meanwhile. */
export function Pop({ className = '', ...props }: ComponentProps<typeof Popover.Content>) {
  return (
    <Popover.Portal>
      <Popover.Content
        align="start"
        sideOffset={4}
        onCloseAutoFocus={(event) => {
          if (document.activeElement !== document.body) event.preventDefault();
        }}
        className={`pop ${className}`}
        onEscapeKeyDown={(event) => {
          if (document.activeElement?.hasAttribute(TYPING)) event.preventDefault();
        }}
        {...props}
      />
    </Popover.Portal>
  );
}
