'use client';

import { useState } from 'react';
import { sayCount } from '@/core/issue';
import { sayBeat, sufferingName } from '@/core/ladder';
import { expand } from '@/core/recipe';
import { sayDay, type ItemRecord } from '@/core/studio';
import { Button } from '../base';
import { VerdictSign } from '../marks';

/** Rows of the log that are shown at first. */
const FIRST_ROWS = 20;

/** Every try, latest first: what it was, what suffered, where it broke. */
export function LogTable({ record }: { record: ItemRecord }) {
  const { tries, whole } = record;
  const [all, setAll] = useState(false);
  const newest = [...tries].reverse();
  const rows = all ? newest : newest.slice(0, FIRST_ROWS);
  const exercise = expand(whole);
  const sayBroke = (beat: number) =>
    exercise.ok ? `broke at ${sayBeat(exercise.value, beat)}` : 'broke';
  return (
    <>
      <table className="mt-4 w-full text-left" aria-label="Log">
        <thead>
          <tr className="label border-b border-line">
            <th className="w-20 py-1 font-normal">day</th>
            <th className="w-14 font-normal">tempo</th>
            <th className="w-20 font-normal">verdict</th>
            <th className="w-20 font-normal">played</th>
            <th className="font-normal">what suffered</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((one, index) => (
            <tr key={one.id} className="border-b border-faint align-baseline [&>td]:py-0.5">
              <td>{rows[index - 1]?.day === one.day ? '' : sayDay(one.day)}</td>
              <td>{one.bpm}</td>
              <td>
                <VerdictSign verdict={one.verdict} /> {one.verdict}
              </td>
              <td className="text-soft">{one.paper ? 'on paper' : sayCount(one.bars, 'bar')}</td>
              <td>
                {[
                  ...one.suffered.map(
                    ({ what, limb }) => sufferingName(what) + (limb ? ` (${limb})` : ''),
                  ),
                  ...one.broke.map(sayBroke),
                  ...(one.remark ? [`“${one.remark}”`] : []),
                ].join(', ')}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {!all && tries.length > FIRST_ROWS && (
        <Button look="quiet" className="mt-2" onClick={() => setAll(true)}>
          all {tries.length} tries
        </Button>
      )}
    </>
  );
}
