'use client';

import { useState } from 'react';
import type { Result } from '@/core/issue';
import type { Speech } from '@/core/studio';
import {
  ownSyllables,
  SYLLABLES,
  SYLLABLES_IDS,
  type NoteNames,
  type Syllables,
} from '@/core/time';
import { sayEach, saySixteenths, type Key } from '@/words';
import { Pop, PopRoot, PopTrigger, useKept, useSpeech } from '../base';

const NAMES = {
  american: 'screen.shell.quarterEighthSixteenth',
  british: 'screen.shell.crotchetQuaverSemiquaver',
} as const satisfies Record<NoteNames, Key>;

const OWN = 'own';

/** How the studio names note values, and how it counts. */
export function SpeechSwitch({ speak }: { speak: (speech: Speech) => Promise<Result<null>> }) {
  const { say, speech: stored, syllables } = useSpeech();
  const [speech, set] = useKept(stored, speak);
  const chosen = typeof speech.syllables === 'string' ? speech.syllables : OWN;
  return (
    <PopRoot>
      <PopTrigger
        className="px-2 text-soft hover:text-ink"
        title={say.t('screen.shell.noteNamesAndCounting')}
      >
        {spoken(syllables)}
      </PopTrigger>
      <Pop align="end" sideOffset={6} className="flex w-80 flex-col gap-3 p-4">
        <fieldset>
          <legend className="label mb-1">{say.t('screen.shell.noteNames')}</legend>
          {Object.entries(sayEach(say, NAMES)).map(([id, text]) => (
            <Pick
              key={id}
              group="notes"
              text={text}
              checked={speech.notes === id}
              onPick={() => set({ notes: id as NoteNames })}
            />
          ))}
        </fieldset>
        <fieldset>
          <legend className="label mb-1">{say.t('screen.shell.counting')}</legend>
          {SYLLABLES_IDS.map((id) => (
            <Pick
              key={id}
              group="syllables"
              text={SYLLABLES[id].name}
              checked={chosen === id}
              onPick={() => set({ syllables: id })}
            />
          ))}
          <OwnSyllables
            key={chosen}
            now={typeof speech.syllables === 'string' ? null : speech.syllables}
            onSet={(syllables) => set({ syllables })}
          />
        </fieldset>
      </Pop>
    </PopRoot>
  );
}

/** @example spoken(SYLLABLES.german) // => '1 e und e' */
function spoken({ beat, sixteenths }: Syllables): string {
  return [beat ?? '1', ...sixteenths].join(' ');
}

function Pick({
  group,
  text,
  checked,
  onPick,
}: {
  group: string;
  text: string;
  checked: boolean;
  onPick: () => void;
}) {
  return (
    <label className="flex items-baseline gap-2 py-0.5">
      <input type="radio" name={group} checked={checked} onChange={onPick} />
      {text}
    </label>
  );
}

type Own = Exclude<Speech['syllables'], string>;

/** A teacher's own syllables, taken when there are three and two. */
function OwnSyllables({ now, onSet }: { now: Own | null; onSet: (own: Own) => void }) {
  const { say } = useSpeech();
  const [typed, setTyped] = useState<Own>(now ?? { sixteenths: '', triplets: '' });
  const whole = ownSyllables(typed.sixteenths, typed.triplets) !== null;
  const begun = typed.sixteenths !== '' || typed.triplets !== '';
  function take(change: Partial<Own>) {
    const next = { ...typed, ...change };
    setTyped(next);
    if (ownSyllables(next.sixteenths, next.triplets)) onSet(next);
  }
  return (
    <div className="mt-1 flex flex-col gap-1">
      <span className="text-sm text-soft">{say.t('screen.shell.myOwnSyllables1And')}</span>
      <div className="flex gap-2">
        <input
          aria-label={say.t('screen.shell.mySyllablesFor', { notes: saySixteenths(say) })}
          placeholder="e & a"
          maxLength={40}
          className="w-1/2 rounded-sm border border-line px-1.5"
          value={typed.sixteenths}
          onChange={(event) => take({ sixteenths: event.target.value })}
        />
        <input
          aria-label={say.t('screen.shell.mySyllablesForTriplets')}
          placeholder={say.t('screen.shell.tripLet')}
          maxLength={40}
          className="w-1/2 rounded-sm border border-line px-1.5"
          value={typed.triplets}
          onChange={(event) => take({ triplets: event.target.value })}
        />
      </div>
      {begun && !whole && (
        <p role="alert" className="border-l-3 border-warm pl-2 text-sm">
          {say.t('screen.shell.howManySyllables', { notes: saySixteenths(say) })}
        </p>
      )}
    </div>
  );
}
