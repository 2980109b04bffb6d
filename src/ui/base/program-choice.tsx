'use client';

import type { ProgramId, ProgramSummary } from '@/core/studio';
import { Choice } from './choice';

/** A program that is there, or the name of a new one. */
export type ProgramTarget = { readonly id: ProgramId } | { readonly name: string };

/** Marks a name that was typed. */
const NEW = 'new: ';

/** Chooses a program to send something to; any other name makes a new one.
 * @param onChoose gets what was chosen, and what it is called */
export function ProgramChoice({
  label,
  programs,
  onChoose,
  children,
}: {
  label: string;
  programs: readonly ProgramSummary[];
  onChoose: (to: ProgramTarget, name: string) => void;
  children: string;
}) {
  function choose(value: string) {
    const known = programs.find((one) => one.id === value);
    const name = known?.name ?? value.slice(NEW.length);
    onChoose(known ? { id: known.id } : { name }, name);
  }
  return (
    <Choice
      label={label}
      options={programs.map(({ id, name }) => ({ value: id as string, text: name }))}
      className="inline-flex h-8 items-center rounded-sm border border-line bg-sheet px-3 hover:border-soft"
      onChoose={choose}
      onType={(text) => ({ ok: true, value: NEW + text })}
    >
      {children}
    </Choice>
  );
}
