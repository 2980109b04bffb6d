'use client';

import { useState } from 'react';
import type { Issue } from '@/core/issue';
import type { Person, StudioId } from '@/core/studio';
import { Button, Field, issuesAt, useFormAction, useSpeech } from '../base';

export interface Door {
  readonly id: StudioId;
  readonly name: string;
  readonly people: readonly Person[];
}

type Answer = readonly Issue[];

/** Who looks? Until there are accounts, everybody picks themselves here. */
export function Start({
  doors,
  enter,
  open,
}: {
  doors: readonly Door[];
  enter: (form: FormData) => Promise<void>;
  open: (before: Answer, form: FormData) => Promise<Answer>;
}) {
  const { say } = useSpeech();
  return (
    <main className="mx-auto flex min-h-dvh max-w-4xl flex-col gap-10 px-6 py-14">
      <header>
        <h1 className="font-serif text-5xl font-bold tracking-tight">Mivvel</h1>
        <p className="mt-2 text-lg text-soft">{say.t('screen.shell.motto')}</p>
      </header>
      {doors.map((door) => (
        <section key={door.id} aria-label={door.name}>
          <h2 className="label mb-2">{door.name}</h2>
          <form action={enter} className="grid border-t border-line">
            {door.people.map((person) => (
              <button
                key={person.id}
                name="person"
                value={person.id}
                className="grid grid-cols-[14rem_6rem_1fr] items-baseline gap-4 border-b border-line px-2 py-2.5 text-left hover:bg-sheet"
              >
                <span className="font-serif text-lg">{person.name}</span>
                <span className="text-soft">{say.t(`screen.shell.role.${person.role}`)}</span>
                <span className="text-sm text-soft">{person.about}</span>
              </button>
            ))}
          </form>
        </section>
      ))}
      <OpenStudio open={open} alone={doors.length === 0} />
    </main>
  );
}

function OpenStudio({
  open,
  alone,
}: {
  open: (before: Answer, form: FormData) => Promise<Answer>;
  alone: boolean;
}) {
  const { answer: issues, pending, onSubmit } = useFormAction(open, []);
  const { say } = useSpeech();
  const [shown, setShown] = useState(alone);
  if (!shown) {
    return (
      <p>
        <Button look="quiet" onClick={() => setShown(true)}>
          {say.t('screen.shell.openAnother')}
        </Button>
      </p>
    );
  }
  return (
    <form onSubmit={onSubmit} className="flex max-w-md flex-col gap-3">
      <h2 className="font-serif text-2xl">
        {alone ? say.t('screen.shell.openYours') : say.t('screen.shell.openAnother')}
      </h2>
      <Field
        label={say.t('screen.shell.studio')}
        name="studio"
        maxLength={80}
        issues={issuesAt(issues, 'studio')}
      />
      <Field
        label={say.t('screen.shell.yourName')}
        name="teacher"
        maxLength={80}
        issues={issuesAt(issues, 'teacher')}
      />
      <ZoneInput />
      <p>
        <Button look="main" type="submit">
          {pending ? say.t('screen.shell.opening') : say.t('screen.shell.open')}
        </Button>
      </p>
    </form>
  );
}

/** Practice days are counted in the zone of the browser that opens the studio. */
function ZoneInput() {
  const zone = () => Intl.DateTimeFormat().resolvedOptions().timeZone;
  return (
    <input
      type="hidden"
      name="zone"
      defaultValue="UTC"
      ref={(node) => {
        if (node) node.value = zone();
      }}
    />
  );
}
