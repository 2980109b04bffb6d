'use client';

import type { LogLook as Look, PersonId } from '@/core/studio';
import { sayFullDate, sayRowsLeft, type Say } from '@/words';

/** A table of tries: whose it is, what comes into which ladder, and what does not. */
export function LogLook({
  say,
  look,
  student,
  onStudent,
}: {
  say: Say;
  look: Look;
  /** Whose the rows are that do not say so. */
  student: PersonId | null;
  onStudent: (student: PersonId | null) => void;
}) {
  const { unsaid, students, coming, known, left } = look;
  const several = new Set(coming.map((one) => one.student)).size > 1;
  return (
    <>
      {unsaid > 0 && (
        <label className="flex items-center gap-2">
          <span>{say.t('imports.logOf', { count: unsaid })}</span>
          <select
            className="field"
            value={student ?? ''}
            onChange={({ target }) =>
              onStudent(students.find(({ id }) => id === target.value)?.id ?? null)
            }
          >
            <option value="">{say.t('imports.nobodyYet')}</option>
            {students.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
      )}
      {coming.length > 0 && (
        <div className="max-h-96 w-fit max-w-full overflow-auto border border-line" tabIndex={0}>
          <table className="text-sm tabular-nums">
            <thead className="sticky top-0 bg-paper">
              <tr className="label text-left">
                {several && <Head says={say.t('imports.studentColumn')} />}
                <Head says={say.t('imports.exerciseColumn')} />
                <Head says={say.t('imports.triesColumn')} />
                <Head says={say.t('imports.datesColumn')} />
                <Head says={say.t('imports.ladderColumn')} />
              </tr>
            </thead>
            <tbody>
              {coming.map((one, index) => (
                <tr key={index} className="border-t border-faint">
                  {several && <td className="px-3">{one.student}</td>}
                  <td className="px-3">{one.exercise}</td>
                  <td className="px-3 text-right">{one.tries}</td>
                  <td className="px-3">
                    {one.from === one.to
                      ? sayFullDate(say, one.from)
                      : say.t('imports.fromTo', {
                          from: sayFullDate(say, one.from),
                          to: sayFullDate(say, one.to),
                        })}
                  </td>
                  <td className="px-3">
                    {say.t(
                      one.bpm === one.thenBpm ? 'imports.ladderStays' : 'imports.ladderMoves',
                      {
                        bpm: one.bpm,
                        then: one.thenBpm,
                      },
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {known > 0 && <p className="text-soft">{say.t('imports.triesKnown', { count: known })}</p>}
      {left.length > 0 && (
        <div>
          <h4 className="label">{say.t('imports.doesNotCome')}</h4>
          <ul className="list-disc pl-5 text-sm">
            {left.map(({ why, name, lines }) => (
              <li key={`${why} ${name}`}>{sayRowsLeft(say, { why, name, lines })}</li>
            ))}
          </ul>
        </div>
      )}
    </>
  );
}

function Head({ says }: { says: string }) {
  return (
    <th scope="col" className="px-3 py-1 font-normal">
      {says}
    </th>
  );
}
