'use client';

import { Popover } from 'radix-ui';
import { useRef, type ComponentProps, type RefObject } from 'react';
import { TYPING } from './typed-field';

export interface PopPanelProps extends ComponentProps<typeof Popover.Content> {
  readonly trigger: RefObject<HTMLElement | null>;
  readonly onClose: () => void;
}

/** What lies over the page beside its trigger. Closed, it gives the focus back, unless the focus has gone
 * elsewhere meanwhile. */
export function PopPanel({ trigger, onClose, className = '', ...props }: PopPanelProps) {
  const leftByPointer = useRef(false);
  return (
    <Popover.Root open onOpenChange={onClose}>
      <Popover.Anchor virtualRef={trigger as RefObject<HTMLElement>} />
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={4}
          onInteractOutside={(event) => {
            // The trigger closes it by itself.
            if (trigger.current?.contains(event.target as Node)) event.preventDefault();
            else leftByPointer.current = true;
          }}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            if (document.activeElement !== document.body || leftByPointer.current) return;
            trigger.current?.focus();
          }}
          className={`pop ${className}`}
          onEscapeKeyDown={(event) => {
            if (document.activeElement?.hasAttribute(TYPING)) event.preventDefault();
          }}
          {...props}
        />
      </Popover.Portal>
    </Popover.Root>
  );
}
