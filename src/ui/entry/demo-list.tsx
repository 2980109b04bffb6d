import type { Person, StudioId } from '@/core/studio';
import type { Say } from '@/words';

export interface Door {
  readonly id: StudioId;
  readonly name: string;
  readonly people: readonly Person[];
}

/** A studio to look around in: whoever opens the page looks as anybody. */
export function DemoList({
  say,
  door,
  enter,
}: {
  say: Say;
  door: Door;
  enter: (form: FormData) => Promise<void>;
}) {
  return (
    <section>
      <h2 className="label mb-2">{say.t('screen.entry.demo', { studio: door.name })}</h2>
      <form action={enter} className="grid border-t border-line">
        {door.people.map((person) => (
          <button
            key={person.id}
            name="person"
            value={person.id}
            className="grid grid-cols-[1fr_auto] items-baseline gap-x-4 border-b border-line px-2 py-2.5 text-left hover:bg-sheet sm:grid-cols-[14rem_6rem_1fr]"
          >
            <span className="font-serif text-lg">{person.name}</span>
            <span className="text-soft">{say.t(`screen.entry.role.${person.role}`)}</span>
            <span className="col-span-2 text-sm text-soft sm:col-span-1">{person.about}</span>
          </button>
        ))}
      </form>
    </section>
  );
}
