'use client';

import { useState } from 'react';
import type { Issue } from '@/core/issue';
import type { PersonId } from '@/core/studio';
import { sayInstant } from '@/words';
import { attempt, attemptOrSay, Button, Field, toast, useSpeech } from '../base';
import type { OwnedProps } from './account-props';
import { Part } from './part';
import { Sure } from './sure';

/** Who teaches at the studio: invited, let go, made its owner. */
export function Teachers({ owned, actions }: OwnedProps) {
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
