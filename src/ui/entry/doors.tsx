'use client';

import { useSpeech, Link } from '../base';
import { EntryForm, type EntryAction } from './entry-form';

/** Students come in by a code, teachers by a password. */
export function Doors({ code, signIn }: { code: EntryAction; signIn: EntryAction }) {
  const { say } = useSpeech();
  return (
    <div className="grid gap-x-16 gap-y-12 md:grid-cols-2">
      <section aria-labelledby="student-title">
        <h2 id="student-title" className="mb-3 font-serif text-2xl">
          {say.t('screen.entry.iStudy')}
        </h2>
        <p className="mb-4 text-soft">{say.t('screen.entry.openYourLink')}</p>
        <EntryForm
          action={code}
          submit={say.t('screen.entry.goIn')}
          fields={[
            { name: 'studio', label: say.t('screen.entry.studio'), autoComplete: 'organization' },
            {
              ...{ name: 'code', label: say.t('screen.entry.code'), autoComplete: 'one-time-code' },
              ...{ autoCapitalize: 'characters', spellCheck: false, maxLength: 12 },
            },
          ]}
        />
      </section>
      <section aria-labelledby="teacher-title">
        <h2 id="teacher-title" className="mb-3 font-serif text-2xl">
          {say.t('screen.entry.iTeach')}
        </h2>
        <EntryForm
          action={signIn}
          submit={say.t('screen.entry.signIn')}
          fields={[
            {
              ...{ name: 'email', type: 'email', autoComplete: 'username' },
              label: say.t('screen.entry.email'),
            },
            {
              ...{ name: 'password', type: 'password', autoComplete: 'current-password' },
              label: say.t('screen.entry.password'),
            },
          ]}
        >
          <p>
            <Link href="/forgot" className="text-soft underline">
              {say.t('screen.entry.forgot')}
            </Link>
          </p>
        </EntryForm>
      </section>
    </div>
  );
}
