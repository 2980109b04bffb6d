import type { ReactNode } from 'react';

/** A whole screen that says one thing, and what to do about it. */
export function Message({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main className="mx-auto flex max-w-xl flex-col gap-4 px-6 py-24">
      <h1 className="font-serif text-3xl">{title}</h1>
      {children}
    </main>
  );
}
