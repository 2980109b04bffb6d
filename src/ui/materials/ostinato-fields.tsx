'use client';

import { useState } from 'react';
import { usualLimb, VOICES, type VoiceId } from '@/core/kit';
import { ostinatoOf, readOstinato, type Lane } from '@/core/materials';
import { editByHand, expand, toggleOstinato, blankRecipe, type ClosedRecipe } from '@/core/recipe';
import { barTicks, parseMeter, slotTicks, type SubdivisionId } from '@/core/time';
import { sayLanes, sayVoice } from '@/words';
import { Button, Field, IssueWords, useSpeech } from '../base';
import { EditableSheet } from '../lanes';
import type { Draft } from './shelf';
import { TapIn } from './tap-in';

/** An ostinato, typed, tapped or written on the lanes; all three fill the same lanes. */
export function OstinatoFields({
  content,
  onContent,
}: {
  content: Draft<'ostinato'>;
  onContent: (change: Partial<Draft<'ostinato'>>) => void;
}) {
  const [typed, setTyped] = useState('');
  const [taps, setTaps] = useState<VoiceId>('bass');
  const { say, syllables } = useSpeech();
  const meter = parseMeter(content.meter);
  const read = typed.trim() !== '' && meter.ok ? readOstinato(typed, meter.value, syllables) : null;
  const recipe = recipeOf(content);
  const expanded = expand(recipe);
  const addLanes = (lanes: readonly Lane[]) =>
    onContent({ lanes: [...content.lanes, ...lanes].slice(0, 12) });

  return (
    <>
      <Field
        label={say.t('screen.materials.typeAPart')}
        className="max-w-xl"
        placeholder={say.t('screen.materials.kXXXOrK')}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      {read && !read.ok && (
        <p role="alert" className="border-l-3 border-warm pl-2 text-sm">
          <IssueWords issues={read.issues} />
        </p>
      )}
      {read?.ok && (
        <ul
          aria-label={say.t('screen.common.readings')}
          className="flex flex-col items-start gap-1"
        >
          {read.value.map(({ lanes }, index) => (
            <li key={index}>
              <Button
                onClick={() => {
                  addLanes(lanes);
                  setTyped('');
                }}
              >
                + {sayLanes(say, lanes)}
              </Button>
            </li>
          ))}
        </ul>
      )}
      <div className="flex flex-wrap items-center gap-2">
        <select
          aria-label={say.t('screen.materials.tappedVoice')}
          className="h-8 rounded-sm border border-line bg-sheet px-1.5"
          value={taps}
          onChange={(event) => setTaps(event.target.value as VoiceId)}
        >
          {VOICES.map(({ id }) => (
            <option key={id} value={id}>
              {sayVoice(say, id)}
            </option>
          ))}
        </select>
        <TapIn
          meter={content.meter}
          onTapped={(places, bars, grid) => {
            if (meter.ok && places.length > 0) {
              addLanes([tappedLane(taps, places, bars * barTicks(meter.value), grid)]);
            }
          }}
        />
      </div>
      <label className="flex items-baseline gap-2">
        <input
          type="checkbox"
          checked={content.swung}
          onChange={() => onContent({ swung: !content.swung })}
        />
        {say.t('screen.materials.meantSwung')}
      </label>
      {content.lanes.length > 0 && (
        <ul className="flex flex-wrap gap-2 text-sm">
          {content.lanes.map((lane, index) => (
            <li key={index} className="rounded-sm border border-line px-2">
              {sayVoice(say, lane.voice)} {lane.limb}{' '}
              <button
                type="button"
                className="phrase"
                onClick={() => onContent({ lanes: content.lanes.filter((_, at) => at !== index) })}
              >
                {say.t('screen.common.takeAway')}
              </button>
            </li>
          ))}
        </ul>
      )}
      {expanded.ok ? (
        <EditableSheet
          exercise={expanded.value}
          rows="voices"
          shows="both"
          onEdit={(edits) => {
            const edited = expand(editByHand(recipe, expanded.value, edits));
            const next = edited.ok ? ostinatoOf(edited.value, '') : null;
            onContent({ lanes: next?.lanes ?? [] });
          }}
        />
      ) : (
        <p role="alert" className="border-l-3 border-warm pl-2 text-sm">
          <IssueWords issues={expanded.issues} />
        </p>
      )}
    </>
  );
}

/** The lanes alone, or empty ones to write on. */
function recipeOf({ meter, lanes }: Draft<'ostinato'>): ClosedRecipe {
  const blank = { ...blankRecipe(), meter };
  if (lanes.length === 0) {
    return { ...blank, changes: [{ kind: 'hand', length: 1, edits: [] }] };
  }
  const content = { name: 'draft', meter, swung: false, lanes };
  return toggleOstinato(blank, 'draft', { version: 1, content });
}

function tappedLane(
  id: VoiceId,
  places: readonly number[],
  length: number,
  slot: SubdivisionId,
): Lane {
  const width = slotTicks(slot);
  const grid = Array.from({ length: length / width }, (_, index) =>
    places.includes(index * width) ? 'x' : '-',
  ).join('');
  return { limb: usualLimb(id), voice: id, slot, grid };
}
