'use client';

import { useEffect, useRef, useState } from 'react';
import type { PersonId } from '@/core/studio';
import { Button, Trouble, useFormAction, useSpeech } from '../base';
import type { EntryAction } from './entry-form';

interface Name {
  readonly id: PersonId;
  readonly name: string;
}

const DIGITS_OF_A_NUMBER = 4;
const DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '0'];

/** On the studio's tablet: a name, then four digits, with keys as large as a knuckle needs. */
export function ByNumber({ students, enter }: { students: readonly Name[]; enter: EntryAction }) {
  const { say } = useSpeech();
  const [who, setWho] = useState<Name | null>(null);
  if (who) return <Digits key={who.id} who={who} enter={enter} onBack={() => setWho(null)} />;
  return (
    <section aria-label={say.t('screen.entry.whoPlays')}>
      {students.length === 0 && <p className="text-soft">{say.t('screen.entry.nobodyYet')}</p>}
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(14rem,1fr))] gap-3">
        {students.map((one) => (
          <li key={one.id}>
            <button
              className="h-20 w-full rounded-sm border border-line bg-sheet px-4 text-left font-serif text-2xl hover:border-soft"
              onClick={() => setWho(one)}
            >
              {one.name}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Digits({ who, enter, onBack }: { who: Name; enter: EntryAction; onBack: () => void }) {
  const { say } = useSpeech();
  const [pin, setPin] = useState('');
  const { answer, pending, onSubmit } = useFormAction<Awaited<ReturnType<EntryAction>>>(enter, []);
  const form = useRef<HTMLFormElement>(null);
  // The last digit goes in: with sticks in one hand there is no button to aim at.
  useEffect(() => {
    if (pin.length === DIGITS_OF_A_NUMBER) form.current?.requestSubmit();
  }, [pin]);
  return (
    <form
      ref={form}
      onSubmit={(event) => {
        onSubmit(event);
        setPin('');
      }}
      className="flex max-w-sm flex-col gap-4"
    >
      <h2 className="font-serif text-3xl">{who.name}</h2>
      <input type="hidden" name="person" value={who.id} />
      <label className="flex flex-col">
        <span className="label">{say.t('screen.entry.yourNumber')}</span>
        <input
          className="field text-4xl tracking-[0.5em]"
          name="pin"
          type="password"
          inputMode="numeric"
          autoComplete="off"
          maxLength={DIGITS_OF_A_NUMBER}
          value={pin}
          autoFocus
          onChange={(event) => setPin(event.target.value.replace(/\D/g, ''))}
        />
      </label>
      <Trouble issues={answer} />
      <div className="grid grid-cols-3 gap-2">
        {DIGITS.map((digit) => (
          <Button
            key={digit}
            className="h-16 text-2xl last:col-start-2"
            onClick={() => setPin((typed) => (typed + digit).slice(0, DIGITS_OF_A_NUMBER))}
          >
            {digit}
          </Button>
        ))}
      </div>
      <p className="flex items-center gap-4">
        <Button className="h-12 px-5 text-lg" onClick={onBack}>
          {say.t('screen.entry.back')}
        </Button>
        {pending && <span role="status">{say.t('screen.entry.oneMoment')}</span>}
      </p>
    </form>
  );
}
