'use client';

import { useRouter } from 'next/navigation';
import { startTransition, useOptimistic, useState } from 'react';
import type { Issue, Result } from '@/core/issue';
import { ACCESS, type Person, type PersonId, type Reading, type WaysIn } from '@/core/studio';
import { sayInstant } from '@/words';
import { attempt, attemptOrSay, Button, Field, toast, Trouble, useSpeech, Link } from '../base';
import { Devices, Part, Sure } from '../account';
import { Address, ShownLink, type Reached } from './shown-link';

interface AccessActions {
  readonly link: (anew: boolean) => Promise<Result<string>>;
  readonly endLink: () => Promise<Result<null>>;
  readonly code: () => Promise<Result<string>>;
  readonly pin: () => Promise<Result<string>>;
  readonly endDevice: (device: string | null) => Promise<Result<null>>;
  readonly letRead: (name: string, days: number | null) => Promise<Result<Reading>>;
  readonly renewReading: (pass: string) => Promise<Result<Reading>>;
  readonly endReading: (pass: string) => Promise<Result<null>>;
  readonly setTeacher: (teacher: PersonId, teaches: boolean) => Promise<Result<null>>;
  readonly erase: (name: string) => Promise<Result<null>>;
}

interface AccessProps extends Reached {
  readonly student: Pick<Person, 'id' | 'name'>;
  readonly studio: string;
  readonly ways: WaysIn;
  readonly actions: AccessActions;
}

/** How a student gets in, who may read their record, who teaches them, and how they leave. */
export function Access(props: AccessProps) {
  const { say } = useSpeech();
  const { student, ways, actions } = props;
  return (
    <main className="in-hand mx-auto flex max-w-5xl flex-col gap-8 px-4 py-4 sm:px-6 sm:py-6">
      <header>
        <p>
          <Link href={`/students/${student.id}`} className="text-soft underline">
            {student.name}
          </Link>
        </p>
        <h1 className="font-serif text-3xl">{say.t('screen.access.heading')}</h1>
      </header>
      <div className="grid gap-x-12 gap-y-8 md:grid-cols-2">
        <PrivateLink {...props} />
        <div className="flex flex-col gap-8">
          <Code {...props} />
          <Pin {...props} />
        </div>
        <Part title={say.t('screen.access.devices')}>
          <Devices
            devices={ways.devices}
            none={say.t('screen.access.noDevices')}
            onEnd={(id) => void attemptOrSay(() => actions.endDevice(id))}
          />
          {ways.devices.length > 1 && (
            <Button onClick={() => void attemptOrSay(() => actions.endDevice(null))}>
              {say.t('screen.access.endAll')}
            </Button>
          )}
        </Part>
        <Readers {...props} />
        <Teachers {...props} />
        <Erase {...props} />
      </div>
    </main>
  );
}

function PrivateLink({ ways, origin, others, actions, student }: AccessProps) {
  const { say } = useSpeech();
  const [busy, setBusy] = useState(false);
  async function make(anew: boolean) {
    setBusy(true);
    await attemptOrSay(() => actions.link(anew));
    setBusy(false);
  }
  if (ways.link === null) {
    return (
      <Part title={say.t('screen.access.link')}>
        <p className="text-soft">{say.t('screen.access.linkWhy', { student: student.name })}</p>
        <Button look="main" disabled={busy} onClick={() => void make(false)}>
          {say.t('screen.access.makeLink')}
        </Button>
      </Part>
    );
  }
  return (
    <Part title={say.t('screen.access.link')}>
      <ShownLink path={ways.link} student={student.name} origin={origin} others={others} />
      <div className="flex flex-wrap gap-2">
        <Sure costs={say.t('screen.access.linkDies')} act={() => make(true)}>
          {say.t('screen.access.renew')}
        </Sure>
        <Sure costs={say.t('screen.access.linkDies')} act={() => attemptOrSay(actions.endLink)}>
          {say.t('screen.access.takeAway')}
        </Sure>
      </div>
    </Part>
  );
}

function Code({ ways, studio, actions }: AccessProps) {
  const { say } = useSpeech();
  const [code, setCode] = useState<string | null>(null);
  return (
    <Part title={say.t('screen.access.code')}>
      {code !== null && (
        <p role="status">
          <output className="font-serif text-4xl tracking-[0.2em]">
            {`${code.slice(0, 3)} ${code.slice(3)}`}
          </output>
          <span className="block text-soft">
            {say.t('screen.access.codeHow', { studio, days: ACCESS.codeDays })}
          </span>
        </p>
      )}
      {code === null && ways.codes.length > 0 && (
        <p className="text-soft">
          {say.t('screen.access.codeWaits', { until: sayInstant(say, ways.codes[0]?.endsAt ?? 0) })}
        </p>
      )}
      <Button
        onClick={() => void attemptOrSay(actions.code).then((made) => made && setCode(made.value))}
      >
        {say.t('screen.access.makeCode')}
      </Button>
    </Part>
  );
}

function Pin({ ways, actions }: AccessProps) {
  const { say } = useSpeech();
  const [shown, setShown] = useState(false);
  return (
    <Part title={say.t('screen.access.pin')}>
      {shown && <output className="font-serif text-4xl tracking-[0.2em]">{ways.pin}</output>}
      <div className="flex gap-2">
        <Button aria-pressed={shown} onClick={() => setShown(!shown)}>
          {say.t('screen.access.show')}
        </Button>
        <Button
          onClick={() => void attemptOrSay(actions.pin).then((made) => made && setShown(true))}
        >
          {say.t('screen.access.renew')}
        </Button>
      </div>
    </Part>
  );
}

/** Days for which a reader may read. */
const TERMS = [30, 90, 365] as const;

function Readers({ ways, origin, actions }: AccessProps) {
  const { say } = useSpeech();
  const [name, setName] = useState('');
  const [days, setDays] = useState<number | null>(90);
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  async function add() {
    const made = await attempt(() => actions.letRead(name, days));
    if (!made) return toast.error(say.t('screen.common.noConnectionNothingWasChangedTry'));
    setIssues(made.ok ? [] : made.issues);
    if (made.ok) setName('');
  }
  return (
    <Part title={say.t('screen.access.readers')}>
      <ul className="flex w-full flex-col gap-3">
        {ways.readers.map((one) => (
          <li key={one.id} className="flex flex-col gap-1">
            <span className="flex items-baseline gap-3">
              {one.name}
              <span className="text-sm text-soft">
                {one.endsAt !== null &&
                  say.t('screen.access.until', { at: sayInstant(say, one.endsAt) })}
              </span>
              <Button
                look="quiet"
                className="ml-auto"
                aria-label={say.t('screen.access.renewOf', { name: one.name })}
                onClick={() => void attemptOrSay(() => actions.renewReading(one.id))}
              >
                {say.t('screen.access.renew')}
              </Button>
              <Button
                look="quiet"
                aria-label={say.t('screen.access.endOf', { name: one.name })}
                onClick={() => void attemptOrSay(() => actions.endReading(one.id))}
              >
                {say.t('screen.access.end')}
              </Button>
            </span>
            <Address address={origin + one.path} />
          </li>
        ))}
      </ul>
      <form
        className="flex flex-wrap items-start gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          void add();
        }}
      >
        <Field
          label={say.t('screen.access.readerName')}
          value={name}
          maxLength={80}
          required
          issues={issues}
          onChange={(event) => setName(event.target.value)}
        />
        <label className="flex flex-col">
          <span className="label">{say.t('screen.access.howLong')}</span>
          <select
            className="field"
            value={days ?? ''}
            onChange={({ target }) => setDays(target.value === '' ? null : Number(target.value))}
          >
            {TERMS.map((term) => (
              <option key={term} value={term}>
                {say.t('screen.access.days', { days: term })}
              </option>
            ))}
            <option value="">{say.t('screen.access.untilEnded')}</option>
          </select>
        </label>
        <Button type="submit" className="mt-4">
          {say.t('screen.access.letRead')}
        </Button>
      </form>
    </Part>
  );
}

function Teachers({ ways, actions }: AccessProps) {
  const { say } = useSpeech();
  const [teach, show] = useOptimistic(
    ways.teachers.map(({ id }) => id),
    (now, { id, teaches }: { id: PersonId; teaches: boolean }) =>
      teaches ? [...now, id] : now.filter((one) => one !== id),
  );
  if (ways.staff.length < 2) return null;
  return (
    <Part title={say.t('screen.access.teachers')}>
      <ul>
        {ways.staff.map(({ id, name }) => (
          <li key={id}>
            <label className="flex items-center gap-2">
              <input
                type="checkbox"
                checked={teach.includes(id)}
                onChange={({ target }) =>
                  startTransition(async () => {
                    show({ id, teaches: target.checked });
                    await attemptOrSay(() => actions.setTeacher(id, target.checked));
                  })
                }
              />
              {name}
            </label>
          </li>
        ))}
      </ul>
    </Part>
  );
}

function Erase({ student, actions }: AccessProps) {
  const { say } = useSpeech();
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const [name, setName] = useState('');
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [busy, setBusy] = useState(false);
  async function erase() {
    setBusy(true);
    const done = await attempt(() => actions.erase(name));
    setBusy(false);
    if (!done) return toast.error(say.t('screen.common.noConnectionNothingWasChangedTry'));
    if (!done.ok) return setIssues(done.issues);
    router.push('/students');
    toast.success(say.t('screen.access.erased', { student: student.name }));
  }
  return (
    <Part title={say.t('screen.access.leaves')}>
      <p className="text-soft">{say.t('screen.access.exportFirst')}</p>
      {!open ? (
        <Button onClick={() => setOpen(true)}>
          {say.t('screen.access.erase', { student: student.name })}
        </Button>
      ) : (
        <form
          className="flex flex-col gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            void erase();
          }}
        >
          <p>{say.t('screen.access.eraseWhat', { student: student.name })}</p>
          <Field
            label={say.t('screen.access.typeName', { student: student.name })}
            value={name}
            maxLength={80}
            autoFocus
            required
            onChange={(event) => setName(event.target.value)}
          />
          <Trouble issues={issues} />
          <div className="flex gap-2">
            <Button look="main" type="submit" disabled={busy}>
              {say.t('screen.access.eraseForGood')}
            </Button>
            <Button onClick={() => setOpen(false)}>{say.t('screen.access.keep')}</Button>
          </div>
        </form>
      )}
    </Part>
  );
}
