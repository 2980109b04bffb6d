'use client';

import {
  createContext,
  use,
  useEffect,
  useId,
  useMemo,
  useRef,
  useState,
  type ComponentProps,
  type ReactNode,
  type RefObject,
} from 'react';
import { loadLate } from './load-late';
import type { OptionsProps } from './options-panel';
import type { PopPanelProps } from './pop-panel';

const PopPanel = loadLate(() => import('./pop-panel').then((room) => room.PopPanel));
const OptionsPanel = loadLate(() => import('./options-panel').then((room) => room.OptionsPanel));

interface Pops {
  readonly open: boolean;
  readonly show: (open: boolean) => void;
  readonly trigger: RefObject<HTMLButtonElement | null>;
  readonly id: string;
}

const PopContext = createContext<Pops | null>(null);

function usePop(): Pops {
  const pops = use(PopContext);
  if (!pops) throw new Error('outside of a PopRoot');
  return pops;
}

/** Something that opens over the page, and its trigger. */
export function PopRoot({
  open,
  onOpenChange,
  children,
}: {
  open?: boolean;
  onOpenChange?: (open: boolean) => void;
  children: ReactNode;
}) {
  const [own, setOwn] = useState(false);
  const trigger = useRef<HTMLButtonElement>(null);
  const id = useId();
  const pops = useMemo(
    () => ({ open: open ?? own, show: onOpenChange ?? setOwn, trigger, id }),
    [open, own, onOpenChange, id],
  );
  return <PopContext value={pops}>{children}</PopContext>;
}

/** The button that opens and closes. */
export function PopTrigger(props: ComponentProps<'button'>) {
  const { open, show, trigger, id } = usePop();
  useEffect(() => PopPanel.load(), []);
  return (
    <button
      type="button"
      ref={trigger}
      aria-haspopup="dialog"
      aria-expanded={open}
      aria-controls={open ? id : undefined}
      data-state={open ? 'open' : 'closed'}
      onClick={() => show(!open)}
      {...props}
    />
  );
}

/** What opens. */
export function Pop(props: Omit<PopPanelProps, 'trigger' | 'onClose'>) {
  const { open, show, trigger, id } = usePop();
  return open && <PopPanel id={id} trigger={trigger} onClose={() => show(false)} {...props} />;
}

/** A button of options: typed on, it opens with what is typed. */
export function OptionsTrigger({
  onType,
  ...props
}: ComponentProps<'button'> & { onType: (letter: string) => void }) {
  const { open } = usePop();
  useEffect(() => OptionsPanel.load(), []);
  return (
    <PopTrigger
      onKeyDown={(event) => {
        // While it is on its way, all that is typed is for it.
        const types = event.key.length === 1 && (open || event.key !== ' ');
        if (!types || event.ctrlKey || event.metaKey || event.altKey) return;
        event.preventDefault();
        event.stopPropagation();
        onType(event.key);
      }}
      {...props}
    />
  );
}

/** Options that open. */
export function OptionsPop<T extends string>(props: OptionsProps<T>) {
  const { open, show, trigger, id } = usePop();
  if (!open) return null;
  return (
    <OptionsPanel
      id={id}
      trigger={trigger}
      onClose={() => show(false)}
      {...(props as unknown as OptionsProps)}
    />
  );
}
