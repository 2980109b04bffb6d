'use client';

import { useState } from 'react';
import { ACCESS } from '@/core/studio';
import { Field, useSpeech } from '../base';
import { EntryForm, type EntryAction } from './entry-form';

const LEAST = ACCESS.password.least;

/** The code that stands where Mivvel runs. */
export function SetupCode({ read }: { read: EntryAction }) {
  const { say } = useSpeech();
  return (
    <section className="max-w-md">
      <p className="mb-4 text-soft">{say.t('screen.entry.whereTheCodeIs')}</p>
      <EntryForm
        action={read}
        submit={say.t('screen.entry.goOn')}
        fields={[
          {
            ...{ name: 'code', label: say.t('screen.entry.setupCode'), autoComplete: 'off' },
            ...{ autoCapitalize: 'characters', spellCheck: false, autoFocus: true },
          },
        ]}
      />
    </section>
  );
}

/** A new studio and who owns it. */
export function OpenStudio({ open, code }: { open: EntryAction; code: string }) {
  const { say } = useSpeech();
  return (
    <section className="max-w-md">
      <EntryForm
        action={open}
        submit={say.t('screen.entry.open')}
        hidden={{ code, zone: zoneHere() }}
        fields={[
          teacherName(say),
          {
            ...{ name: 'studio', label: say.t('screen.entry.studio'), maxLength: 80 },
            ...{ placeholder: say.t('screen.entry.asYou'), required: false },
          },
          ...credentials(say),
        ]}
      />
    </section>
  );
}

function teacherName(say: ReturnType<typeof useSpeech>['say']) {
  return {
    ...{ name: 'teacher', label: say.t('screen.entry.yourName'), maxLength: 80 },
    ...{ autoComplete: 'name', autoFocus: true },
  };
}

function credentials(say: ReturnType<typeof useSpeech>['say']) {
  return [
    {
      ...{ name: 'email', type: 'email', autoComplete: 'username' },
      label: say.t('screen.entry.email'),
    },
    newPassword(say),
  ];
}

function newPassword(say: ReturnType<typeof useSpeech>['say']) {
  return {
    ...{ name: 'password', type: 'password', autoComplete: 'new-password', minLength: LEAST },
    label: say.t('screen.entry.newPassword', { least: LEAST }),
  };
}

/** Practice days are counted in the zone of the browser that opens the studio. */
function zoneHere(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone;
}

/** Studios of before there were accounts, each to be claimed by its owner. */
export function ClaimStudio({
  claim,
  code,
  studios,
}: {
  claim: EntryAction;
  code: string;
  studios: readonly { readonly id: string; readonly name: string }[];
}) {
  const { say } = useSpeech();
  const [chosen, setChosen] = useState(studios[0]?.id ?? '');
  return (
    <section className="max-w-md">
      <p className="mb-4 text-soft">{say.t('screen.entry.claimWhy')}</p>
      <EntryForm
        action={claim}
        submit={say.t('screen.entry.claim')}
        hidden={{ code, studio: chosen }}
        fields={[
          {
            ...{ name: 'email', type: 'email', autoComplete: 'username' },
            label: say.t('screen.entry.email'),
          },
          newPassword(say),
        ]}
        before={
          <label className="flex flex-col">
            <span className="label">{say.t('screen.entry.studio')}</span>
            <select
              className="field text-lg"
              value={chosen}
              onChange={(event) => setChosen(event.target.value)}
            >
              {studios.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        }
      />
    </section>
  );
}

/** A teacher who was invited says who they are. */
export function Invitation({
  accept,
  address,
  email,
  known,
}: {
  accept: EntryAction;
  address: string;
  email: string;
  /** The address has an account here already. */
  known: boolean;
}) {
  const { say } = useSpeech();
  return (
    <section className="max-w-md">
      <EntryForm
        action={accept}
        submit={say.t('screen.entry.goIn')}
        hidden={{ address }}
        fields={[
          {
            ...{ name: 'name', label: say.t('screen.entry.yourName'), maxLength: 80 },
            ...{ autoComplete: 'name', autoFocus: true },
          },
          known
            ? {
                ...{ name: 'password', type: 'password', autoComplete: 'current-password' },
                label: say.t('screen.entry.passwordYouHave'),
              }
            : newPassword(say),
        ]}
        before={
          <Field
            label={say.t('screen.entry.email')}
            name="email"
            value={email}
            readOnly
            autoComplete="username"
            className="text-lg text-soft"
          />
        }
      />
    </section>
  );
}

/** A password that a link sets anew. */
export function ResetPassword({ reset, token }: { reset: EntryAction; token: string }) {
  const { say } = useSpeech();
  return (
    <section className="max-w-md">
      <EntryForm
        action={reset}
        submit={say.t('screen.entry.setPassword')}
        hidden={{ token }}
        fields={[{ ...newPassword(say), autoFocus: true }]}
      />
    </section>
  );
}
