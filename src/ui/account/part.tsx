import type { ReactNode } from 'react';

/** A part of a page with its title. */
export function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section aria-label={title} className="flex flex-col items-start gap-3">
      <h2 className="font-serif text-xl">{title}</h2>
      {children}
    </section>
  );
}

/** A line of a list: what it is, a word about it, and what can be done on its right. */
export function Entry({
  name,
  about,
  children,
}: {
  name: string;
  about: ReactNode;
  children?: ReactNode;
}) {
  return (
    <li className="flex items-baseline gap-3 border-b border-line py-1.5">
      <span>{name}</span>
      <span className="text-sm text-soft">{about}</span>
      {children && <span className="ml-auto">{children}</span>}
    </li>
  );
}
