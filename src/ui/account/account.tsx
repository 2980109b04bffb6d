'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Issue, Result } from '@/core/issue';
import { ACCESS, type AuditLine, type DeviceLine, type PersonId } from '@/core/studio';
import { sayInstant } from '@/words';
import {
  attempt,
  attemptOrSay,
  Button,
  Field,
  issuesAt,
  toast,
  TypedField,
  useFormAction,
  useSpeech,
} from '../base';
import { DeviceList } from './own-devices';
import { Entry, Part } from './part';
import { Sure } from './sure';

interface OwnAccount {
  readonly email: string | null;
  readonly devices: readonly DeviceLine[];
  readonly studios: readonly {
    readonly person: PersonId;
    readonly name: string;
    readonly here: boolean;
  }[];
}

interface OwnedStudio {
  readonly staff: readonly {
    readonly id: PersonId;
    readonly name: string;
    readonly role: 'owner' | 'teacher';
    readonly email: string | null;
    readonly students: number;
  }[];
  readonly invitations: readonly {
    readonly id: string;
    readonly email: string;
    readonly path: string;
    readonly endsAt: number | null;
  }[];
  readonly tablets: readonly {
    readonly id: string;
    readonly name: string;
    readonly createdAt: number;
  }[];
  readonly mails: readonly {
    readonly id: string;
    readonly at: number;
    readonly to: string;
    readonly letter: { readonly subject: string; readonly text: string } | null;
  }[];
  readonly audit: readonly AuditLine[];
}

type Answer = readonly Issue[];

interface AccountActions {
  readonly setPassword: (typed: { present: string; password: string }) => Promise<Result<null>>;
  readonly endElsewhere: () => Promise<Result<null>>;
  readonly endOn: (device: string) => Promise<Result<null>>;
  readonly goToStudio: (to: PersonId) => Promise<Result<null>>;
  readonly invite: (email: string) => Promise<Result<string>>;
  readonly takeInvitationBack: (id: string) => Promise<Result<null>>;
  readonly renameOwn: (name: string) => Promise<Result<null>>;
  readonly makeOwner: (id: PersonId) => Promise<Result<null>>;
  readonly letGo: (id: PersonId, to: PersonId) => Promise<Result<null>>;
  readonly tabletEnds: (id: string) => Promise<Result<null>>;
  readonly tabletHere: (name: string) => Promise<Result<unknown>>;
  readonly openOther: (before: Answer, form: FormData) => Promise<Answer>;
}

interface AccountProps {
  readonly name: string;
  readonly account: OwnAccount;
  /** What the owner looks after; null for any other teacher. */
  readonly owned: OwnedStudio | null;
  readonly actions: AccountActions;
}

/** A teacher's own account, and for the owner who else gets in. */
export function Account(props: AccountProps) {
  const { say } = useSpeech();
  const { name, account, owned, actions } = props;
  return (
    <main className="in-hand mx-auto flex max-w-5xl flex-col gap-8 px-4 py-4 sm:px-6 sm:py-6">
      <header>
        <h1 className="font-serif text-3xl">{say.t('screen.account.account')}</h1>
        <p className="text-soft">{account.email}</p>
        <div className="mt-3 flex max-w-sm flex-col">
          <span className="label" aria-hidden>
            {say.t('screen.account.nameHere')}
          </span>
          <TypedField
            label={say.t('screen.account.nameHere')}
            value={name}
            write={(own) => own}
            read={(typed) => typed.trim() || undefined}
            inputMode="text"
            maxLength={80}
            onTake={(own) => void attemptOrSay(() => actions.renameOwn(own))}
          />
        </div>
      </header>
      <div className="grid gap-x-12 gap-y-8 md:grid-cols-2">
        {account.email !== null && <Password setPassword={actions.setPassword} />}
        <Part title={say.t('screen.account.devices')}>
          <DeviceList
            devices={account.devices}
            endOn={actions.endOn}
            endElsewhere={actions.endElsewhere}
          />
        </Part>
        <Studios {...props} />
        <Tablets {...props} />
        {owned && <Teachers owned={owned} actions={actions} />}
        {owned && <Mails owned={owned} />}
      </div>
      {owned && <Audit lines={owned.audit} />}
    </main>
  );
}

function Password({ setPassword }: Pick<AccountActions, 'setPassword'>) {
  const { say } = useSpeech();
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [busy, setBusy] = useState(false);
  async function change(form: HTMLFormElement) {
    const typed = new FormData(form);
    const [present, password] = [typed.get('present'), typed.get('password')].map(String);
    setBusy(true);
    const done = await attempt(() =>
      setPassword({ present: present ?? '', password: password ?? '' }),
    );
    setBusy(false);
    if (!done) return toast.error(say.t('screen.common.noConnectionNothingWasChangedTry'));
    setIssues(done.ok ? [] : done.issues);
    if (!done.ok) return;
    form.reset();
    toast.success(say.t('screen.account.changed'));
  }
  return (
    <Part title={say.t('screen.account.changePassword')}>
      <form
        className="flex w-full max-w-sm flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          void change(event.currentTarget);
        }}
      >
        <Field
          label={say.t('screen.account.present')}
          name="present"
          type="password"
          autoComplete="current-password"
          required
          maxLength={200}
          issues={issuesAt(issues, 'present')}
        />
        <Field
          label={say.t('screen.account.newPassword', { least: ACCESS.password.least })}
          name="password"
          type="password"
          autoComplete="new-password"
          required
          maxLength={200}
          issues={issuesAt(issues, 'password')}
        />
        <p>
          <Button type="submit" disabled={busy}>
            {say.t('screen.account.changePassword')}
          </Button>
        </p>
      </form>
    </Part>
  );
}

function Studios({ account, owned, actions }: AccountProps) {
  const { say } = useSpeech();
  const router = useRouter();
  const { answer, pending, onSubmit } = useFormAction<Answer>(actions.openOther, []);
  if (account.email === null) return null;
  return (
    <Part title={say.t('screen.account.studios')}>
      <ul className="w-full">
        {account.studios.map((one) => (
          <Entry key={one.person} name={one.name} about={one.here && say.t('screen.devices.here')}>
            {!one.here && (
              <Button
                look="quiet"
                onClick={() =>
                  void attemptOrSay(() => actions.goToStudio(one.person)).then(
                    (done) => done && router.push('/students'),
                  )
                }
              >
                {say.t('screen.account.goTo', { studio: one.name })}
              </Button>
            )}
          </Entry>
        ))}
      </ul>
      {owned && (
        <form onSubmit={onSubmit} className="flex flex-wrap items-start gap-3">
          <Field
            label={say.t('screen.account.studio')}
            name="studio"
            required
            maxLength={80}
            issues={issuesAt(answer, 'studio')}
          />
          <Field
            label={say.t('screen.account.yourName')}
            name="teacher"
            required
            maxLength={80}
            issues={issuesAt(answer, 'teacher')}
          />
          <input
            type="hidden"
            name="zone"
            value={Intl.DateTimeFormat().resolvedOptions().timeZone}
          />
          <Button type="submit" disabled={pending} className="mt-4">
            {say.t('screen.account.openAnother')}
          </Button>
        </form>
      )}
    </Part>
  );
}

function Tablets({ owned, actions }: AccountProps) {
  const { say } = useSpeech();
  const [name, setName] = useState('');
  return (
    <Part title={say.t('screen.account.tablets')}>
      {owned && owned.tablets.length > 0 && (
        <ul className="w-full">
          {owned.tablets.map((one) => (
            <Entry
              key={one.id}
              name={one.name}
              about={say.t('screen.account.tabletSince', { at: sayInstant(say, one.createdAt) })}
            >
              <Sure
                costs={say.t('screen.account.tabletDies')}
                act={() => attemptOrSay(() => actions.tabletEnds(one.id))}
              >
                {say.t('screen.account.endTablet')}
              </Sure>
            </Entry>
          ))}
        </ul>
      )}
      <form
        className="flex flex-wrap items-start gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          void attemptOrSay(() => actions.tabletHere(name)).then(
            (done) => done && window.location.assign('/'),
          );
        }}
      >
        <Field
          label={say.t('screen.account.tabletName')}
          value={name}
          required
          maxLength={80}
          onChange={(event) => setName(event.target.value)}
        />
        <Button type="submit" className="mt-4">
          {say.t('screen.account.makeTablet')}
        </Button>
      </form>
      <p className="text-sm text-soft">{say.t('screen.account.tabletHow')}</p>
    </Part>
  );
}

interface OwnedProps {
  readonly owned: OwnedStudio;
  readonly actions: AccountActions;
}

function Teachers({ owned, actions }: OwnedProps) {
  const { say } = useSpeech();
  const [email, setEmail] = useState('');
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  async function invite() {
    const made = await attempt(() => actions.invite(email));
    if (!made) return toast.error(say.t('screen.common.noConnectionNothingWasChangedTry'));
    setIssues(made.ok ? [] : made.issues);
    if (made.ok) setEmail('');
  }
  return (
    <Part title={say.t('screen.account.teachers')}>
      <ul className="w-full">
        {owned.staff.map((one) => (
          <li
            key={one.id}
            className="flex flex-wrap items-baseline gap-x-3 border-b border-line py-1.5"
          >
            <span>{one.name}</span>
            <span className="text-sm text-soft">
              {say.t(`screen.account.role.${one.role}`)}{' '}
              {say.t('screen.account.studentsOf', { students: one.students })} {one.email}
            </span>
            {one.role === 'teacher' && (
              <span className="ml-auto flex flex-wrap items-center gap-2">
                {one.email !== null && <MakeOwner who={one} actions={actions} />}
                <LetGo who={one} owned={owned} actions={actions} />
              </span>
            )}
          </li>
        ))}
        {owned.invitations.map((one) => (
          <li key={one.id} className="flex flex-col border-b border-line py-1.5">
            <span className="flex items-baseline gap-3">
              <span>{one.email}</span>
              <span className="text-sm text-soft">
                {one.endsAt !== null &&
                  say.t('screen.account.invitedUntil', { at: sayInstant(say, one.endsAt) })}
              </span>
              <Button
                look="quiet"
                className="ml-auto"
                onClick={() => void attemptOrSay(() => actions.takeInvitationBack(one.id))}
              >
                {say.t('screen.account.takeBack')}
              </Button>
            </span>
            <HandOver path={one.path} />
          </li>
        ))}
      </ul>
      <form
        className="flex flex-wrap items-start gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          void invite();
        }}
      >
        <Field
          label={say.t('screen.account.teacherEmail')}
          type="email"
          value={email}
          required
          maxLength={200}
          issues={issues}
          onChange={(event) => setEmail(event.target.value)}
        />
        <Button type="submit" className="mt-4">
          {say.t('screen.account.inviteTeacher')}
        </Button>
      </form>
    </Part>
  );
}

/** An invitation's link, for whom mail does not reach. */
function HandOver({ path }: { path: string }) {
  const { say } = useSpeech();
  return (
    <input
      readOnly
      aria-label={say.t('screen.account.linkToHandOver')}
      className="field text-sm"
      value={`${window.location.origin}${path}`}
      onFocus={(event) => event.target.select()}
    />
  );
}

/** Hands the studio to another teacher. */
function MakeOwner({
  who,
  actions,
}: Pick<OwnedProps, 'actions'> & { who: { readonly id: PersonId; readonly name: string } }) {
  const { say } = useSpeech();
  async function handOver() {
    const done = await attemptOrSay(() => actions.makeOwner(who.id));
    if (done) toast.success(say.t('screen.account.ownedBy', { name: who.name }));
  }
  return (
    <Sure costs={say.t('screen.account.makeOwnerCosts', { name: who.name })} act={handOver}>
      {say.t('screen.account.makeOwner')}
    </Sure>
  );
}

/** A teacher leaves, and says who has their students from then on. */
function LetGo({
  who,
  owned,
  actions,
}: OwnedProps & { who: { readonly id: PersonId; readonly name: string } }) {
  const { say } = useSpeech();
  const [open, setOpen] = useState(false);
  const others = owned.staff.filter(({ id }) => id !== who.id);
  const [to, setTo] = useState(others[0]?.id ?? who.id);
  if (!open) {
    return <Button onClick={() => setOpen(true)}>{say.t('screen.account.letGo')}</Button>;
  }
  return (
    <span className="flex basis-full flex-wrap items-center gap-2">
      <label className="flex items-center gap-2">
        {say.t('screen.account.letGoOf', { name: who.name })}
        <select
          className="field"
          value={to}
          onChange={({ target }) =>
            setTo(others.find(({ id }) => id === target.value)?.id ?? who.id)
          }
        >
          {others.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <Button onClick={() => void attemptOrSay(() => actions.letGo(who.id, to))}>
        {say.t('screen.account.letGo')}
      </Button>
    </span>
  );
}

function Mails({ owned }: Pick<OwnedProps, 'owned'>) {
  const { say } = useSpeech();
  return (
    <Part title={say.t('screen.account.mails')}>
      {owned.mails.length === 0 && <p className="text-soft">{say.t('screen.account.noMail')}</p>}
      <ul className="w-full">
        {owned.mails.map(({ id, at, to, letter }) => (
          <li key={id} className="border-b border-line py-1.5">
            <details>
              <summary className="cursor-pointer">
                {to} <span className="text-sm text-soft">{sayInstant(say, at)}</span>{' '}
                {letter?.subject}
              </summary>
              <p className="max-w-full py-2 break-words whitespace-pre-wrap select-text">
                {letter?.text ?? say.t('screen.account.mailSealed')}
              </p>
            </details>
          </li>
        ))}
      </ul>
    </Part>
  );
}

function Audit({ lines }: { lines: readonly AuditLine[] }) {
  const { say } = useSpeech();
  return (
    <Part title={say.t('screen.account.audit')}>
      <ol className="max-h-80 w-full overflow-auto border-t border-line" tabIndex={0}>
        {lines.map(({ id, at, kind, by, about }) => {
          const what = say.t(`screen.account.auditKind.${kind}`);
          return (
            <li
              key={id}
              className="grid grid-cols-[11rem_10rem_1fr] gap-3 border-b border-line py-1"
            >
              <span className="text-sm text-soft">{sayInstant(say, at)}</span>
              <span>{by ?? say.t('screen.account.nobody')}</span>
              <span>
                {about === null || about === by
                  ? what
                  : say.t('screen.account.auditAbout', { what, about })}
              </span>
            </li>
          );
        })}
      </ol>
    </Part>
  );
}
