'use client';

import type { PlayedGrid } from '@/core/format';
import type { FileLook } from '@/core/studio';
import { saySubdivision, type Say } from '@/words';

type Music = Extract<FileLook, { kind: 'music' }>;

/** The grid that played notes are put on, and how far each of them was off. */
export function PlayedNotes({
  say,
  look,
  grids,
  onGrid,
}: {
  say: Say;
  look: Music;
  grids: readonly PlayedGrid[];
  onGrid: (grid: PlayedGrid) => void;
}) {
  const { notes, noteCount, doubtful, grid } = look;
  const ms = Math.abs(notes[0]?.offMs ?? 0);
  return (
    <div className="flex flex-col gap-2">
      <div className="flex flex-wrap items-center gap-3">
        <label className="flex items-center gap-2">
          <span>{say.t('imports.gridForNotes')}</span>
          <select
            className="field"
            value={grid ?? ''}
            onChange={({ target }) => {
              const chosen = grids.find((one) => one === target.value);
              if (chosen) onGrid(chosen);
            }}
          >
            {grids.map((one) => (
              <option key={one} value={one}>
                {one === 'beats' ? say.t('imports.beatsGrid') : saySubdivision(say, one)}
              </option>
            ))}
          </select>
        </label>
        <span className="text-soft">
          {say.t('imports.notesOn', { count: noteCount, doubtful, ms })}
        </span>
      </div>
      <details>
        <summary className="phrase w-fit">{say.t('imports.eachNote')}</summary>
        <div className="mt-1 max-h-60 w-fit overflow-y-auto border border-line" tabIndex={0}>
          <table className="text-sm tabular-nums">
            <thead className="sticky top-0 bg-paper">
              <tr>
                {(['barColumn', 'slotColumn', 'keyColumn', 'offColumn'] as const).map((one) => (
                  <th key={one} scope="col" className="label px-3 py-1 text-right">
                    {say.t(`imports.${one}`)}
                  </th>
                ))}
                <th />
              </tr>
            </thead>
            <tbody>
              {notes.map((note, index) => (
                <tr key={index} className="border-t border-faint">
                  <td className="px-3 text-right">{note.bar}</td>
                  <td className="px-3 text-right">
                    {grid === 'beats'
                      ? say.t('imports.slotOn', {
                          slot: note.slot + 1,
                          grid: saySubdivision(say, note.grid),
                        })
                      : note.slot + 1}
                  </td>
                  <td className="px-3 text-right">{note.key}</td>
                  <td className="px-3 text-right">
                    {note.offMs === 0
                      ? '0'
                      : say.t(note.offMs < 0 ? 'imports.early' : 'imports.late', {
                          ms: Math.abs(note.offMs),
                        })}
                  </td>
                  <td className="px-3">{note.doubtful && say.t('imports.doubtfulNote')}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        {noteCount > notes.length && (
          <p className="text-sm text-soft">
            {say.t('imports.moreOfThem', { more: noteCount - notes.length })}
          </p>
        )}
      </details>
    </div>
  );
}
