'use client';

import type { Issue } from '@/core/issue';
import { HANDEDNESS, VOICES, type VoiceId } from '@/core/kit';
import { sayHandedness, sayVoice } from '@/words';
import { Button, issuesAt, LimitsFields, Trouble, useSpeech } from '../base';
import type { Draft } from './shelf';

const MOST_GAP = 32;

/** A sticking for each gap; empty ones are gaps without a cell. */
export function CellsFields({
  cells,
  issues,
  onCells,
}: {
  cells: Draft<'cells'>['cells'];
  issues: readonly Issue[];
  onCells: (cells: Draft<'cells'>['cells']) => void;
}) {
  const { say } = useSpeech();
  const gaps = Object.keys(cells).map(Number);
  const next = Array.from({ length: MOST_GAP }, (_, index) => index + 1).find(
    (gap) => !gaps.includes(gap),
  );
  const without = (gap: number) =>
    Object.fromEntries(Object.entries(cells).filter(([key]) => key !== String(gap)));
  const set = (gap: number, cell: string) =>
    onCells({ ...without(gap), [String(gap)]: cell.toUpperCase().replace(/\s/g, '') });
  return (
    <div className="flex flex-col gap-1">
      <span className="label">{say.t('screen.materials.cellsByGapInSlots')}</span>
      {gaps.map((gap) => (
        <div key={gap} className="flex items-center gap-3">
          <span className="w-6 text-right text-soft">{gap}</span>
          <input
            aria-label={say.t('screen.materials.cellFor', { gap })}
            className="field w-72 tracking-widest"
            maxLength={MOST_GAP}
            value={cells[gap] ?? ''}
            onChange={(event) => set(gap, event.target.value)}
          />
          <span className="text-sm text-soft">
            {say.t('screen.materials.lengthOf', { length: (cells[gap] ?? '').length, gap })}
          </span>
          <Button look="quiet" onClick={() => onCells(without(gap))}>
            {say.t('screen.common.takeAway')}
          </Button>
          <Trouble issues={issuesAt(issues, 'cells', String(gap))} />
        </div>
      ))}
      {next !== undefined && (
        <Button look="quiet" className="self-start" onClick={() => set(next, '')}>
          {say.t('screen.materials.addCellFor', { gap: next })}
        </Button>
      )}
    </div>
  );
}

export function KitFields({
  content,
  onContent,
}: {
  content: Draft<'kit'>;
  onContent: (change: Partial<Draft<'kit'>>) => void;
}) {
  const { say } = useSpeech();
  const { handedness, voices, limits } = content;
  const toggle = (id: VoiceId) =>
    onContent({
      voices: voices.includes(id) ? voices.filter((one) => one !== id) : [...voices, id],
    });
  return (
    <>
      <fieldset className="flex flex-wrap gap-4">
        <legend className="label">{say.t('screen.common.plays')}</legend>
        {HANDEDNESS.map((id) => (
          <label key={id} className="flex items-baseline gap-2">
            <input
              type="radio"
              name="plays"
              checked={handedness === id}
              onChange={() => onContent({ handedness: id })}
            />
            {sayHandedness(say, id)}
          </label>
        ))}
      </fieldset>
      <fieldset className="grid max-w-2xl grid-cols-3 gap-x-4">
        <legend className="label">{say.t('screen.common.has')}</legend>
        {VOICES.map(({ id }) => (
          <label key={id} className="flex items-baseline gap-2 py-0.5">
            <input type="checkbox" checked={voices.includes(id)} onChange={() => toggle(id)} />
            {sayVoice(say, id)}
          </label>
        ))}
      </fieldset>
      <LimitsFields limits={limits} onSet={(next) => onContent({ limits: next })} />
    </>
  );
}
