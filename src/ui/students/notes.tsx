'use client';

import { X } from 'lucide-react';
import { useState } from 'react';
import type { Issue, Result } from '@/core/issue';
import type { Posted } from '@/core/log';
import { type EntryId, type Note } from '@/core/studio';
import { sayDay } from '@/words';
import { attempt, Button, newId, toast, Trouble, useSpeech, useUndo } from '../base';

/** What the teacher writes to the student; it stands on their Today. */
export function Notes({
  notes,
  log,
  takeBack,
}: {
  notes: readonly Note[];
  log: (entry: Posted) => Promise<Result<null>>;
  /** Takes an entry back. Gives the entry that does so; null where it was not stored. */
  takeBack: (id: EntryId) => Promise<EntryId | null>;
}) {
  const { say } = useSpeech();
  const undoable = useUndo();
  const [text, setText] = useState('');
  const [issues, setIssues] = useState<readonly Issue[]>([]);

  async function write() {
    const typed = text.trim();
    if (typed === '') return setIssues([{ code: 'note-empty', path: ['text'] }]);
    const id = newId<'entry'>();
    const answer = await attempt(() => log({ kind: 'note', id, agoMs: 0, body: { text: typed } }));
    if (!answer) return void toast.error(say.t('screen.students.notSavedNoConnectionYourNote'));
    setIssues(answer.ok ? [] : answer.issues);
    if (answer.ok) setText('');
  }

  async function remove(id: EntryId) {
    const away = await takeBack(id);
    if (!away) return;
    undoable(say.t('screen.students.noteTakenAway'), () => takeBack(away));
  }

  return (
    <section aria-labelledby="notes-title">
      <h2 id="notes-title" className="label mb-1">
        {say.t('screen.students.notesForTheStudent')}
      </h2>
      <ul>
        {notes.map((note) => (
          <li key={note.id} className="flex items-baseline gap-2 border-b border-faint py-0.5">
            <span className="min-w-0 flex-1">
              {note.text} <span className="text-sm text-soft">{sayDay(say, note.day)}</span>
            </span>
            <Button
              look="quiet"
              aria-label={say.t('screen.students.takeAway', { text: note.text })}
              onClick={() => void remove(note.id)}
            >
              <X size={14} aria-hidden />
            </Button>
          </li>
        ))}
      </ul>
      <form
        className="mt-1 flex gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void write();
        }}
      >
        <input
          aria-label={say.t('screen.students.noteForTheStudent')}
          className="field min-w-0 flex-1"
          value={text}
          maxLength={500}
          aria-invalid={issues.length > 0}
          onChange={(event) => setText(event.target.value)}
        />
        <Button type="submit">{say.t('screen.common.add')}</Button>
      </form>
      <Trouble issues={issues} />
    </section>
  );
}
