'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Issue } from '@/core/issue';
import { ACCESS } from '@/core/studio';
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
import type { AccountActions, AccountProps, Answer } from './account-props';
import { Audit, Mails } from './studio-log';
import { Sure } from './sure';
import { Teachers } from './teachers';

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
