'use client';

import type { ReactNode } from 'react';
import {
  STICKING_LETTERS,
  TEXTURES,
  VOICES,
  type StickingLetter,
  type TextureId,
  type VoiceId,
} from '@/core/kit';
import type { Stroke } from '@/core/pattern';
import type { Exercise, SeenEdit } from '@/core/recipe';
import { type SubdivisionId } from '@/core/time';
import {
  sayCount,
  sayDynamic,
  sayLimb,
  sayOrnament,
  saySubdivision,
  sayTexture,
  sayVoice,
  type Say,
} from '@/words';
import { Button, Choice, useSpeech } from '../base';
import {
  type RowKind,
  sayRow,
  ScoreSheet,
  type Shows,
  type StaffRows,
  type Subscribe,
} from '../marks';
import type { LaneCommand } from './lane-editor';
import { DYNAMIC_KEYS, ORNAMENT_KEYS } from './lane-keys';
import { useLaneEditing, type LaneEditor } from './use-lane-editing';

const GRIDS = ['8', '16', '32', '8t', '16t', '5', '7'] as const;

const USUAL = 'usual';

const LIMB_KEYS = Object.keys(STICKING_LETTERS) as readonly StickingLetter[];

/** Lanes that are written on, by mouse and keys, with the staff under them. */
export function EditableSheet({
  exercise,
  rows,
  shows,
  staffRows,
  subscribe,
  onEdit,
}: {
  exercise: Exercise;
  rows: RowKind;
  shows: Shows;
  staffRows?: StaffRows;
  subscribe?: Subscribe;
  onEdit: (edits: readonly SeenEdit[]) => void;
}) {
  const editor = useLaneEditing(exercise, rows, onEdit);
  const { say } = useSpeech();
  const { cursor } = editor.editing;
  const place = cursor
    ? say.t('screen.bench.bar', {
        bar: Math.floor(cursor.at / exercise.barTicks) + 1,
        count: sayCount(say, cursor.at, exercise.meter),
        row: sayRow(say, cursor.row, exercise),
      })
    : '';
  const says = editor.chosen.map(({ limb, dynamic, ornament }) =>
    [
      sayLimb(say, limb),
      dynamic && sayDynamic(say, dynamic),
      ornament && sayOrnament(say, ornament),
    ]
      .filter(Boolean)
      .join(' '),
  );
  return (
    <>
      <Tools editor={editor} />
      {/* The lanes take keys like a grid of cells: arrows move, letters write. */}
      <div
        role="application"
        aria-label={say.t('screen.bench.lanes')}
        aria-describedby="lane-keys"
        tabIndex={0}
        className="rounded-sm focus-visible:outline-1 focus-visible:outline-offset-4 focus-visible:outline-warm"
        onKeyDown={editor.onKeyDown}
      >
        <ScoreSheet
          exercise={exercise}
          rows={rows}
          shows={shows}
          staffRows={staffRows}
          subscribe={subscribe}
          editing={editor.editing}
        />
      </div>
      <p id="lane-keys" className="mt-1 text-xs text-soft">
        {say.t('screen.bench.arrowsMoveShiftSelectsAltMoves')}
      </p>
      {editor.instead && (
        <p role="status" className="text-sm">
          {say.t('screen.bench.inPlaceOf', { voice: sayVoice(say, editor.instead) })}
        </p>
      )}
      <p role="status" className="sr-only">
        {cursor ? `${place}: ${says.join(', ') || say.t('screen.bench.emptyCell')}` : ''}
      </p>
    </>
  );
}

function Tools({ editor }: { editor: LaneEditor }) {
  const { say } = useSpeech();
  const { chosen, run } = editor;
  const none = chosen.length === 0;
  return (
    <div
      role="toolbar"
      aria-label={say.t('screen.bench.writeOnTheLanes')}
      className="mb-1 flex flex-wrap gap-x-3 gap-y-1"
    >
      <span className="inline-flex items-center gap-1">
        <span className="label">{say.t('screen.bench.grid')}</span>
        <Choice<SubdivisionId>
          label={say.t('screen.bench.writingGrid')}
          options={GRIDS.map((id) => ({ value: id, text: saySubdivision(say, id) }))}
          value={editor.grid}
          onChoose={editor.setGrid}
        >
          {saySubdivision(say, editor.grid)}
        </Choice>
        <Choice
          label={say.t('screen.bench.anotherRow')}
          options={VOICES.map(({ id }) => ({ value: id, text: sayVoice(say, id) }))}
          className="phrase-add"
          onChoose={editor.addRow}
        >
          {say.t('screen.bench.addRow')}
        </Choice>
        <Button look="quiet" className="px-1.5 text-sm" onClick={editor.showAllRows}>
          {say.t('screen.bench.allRows')}
        </Button>
      </span>
      {!none && (
        <>
          <Group>
            {Object.entries(DYNAMIC_KEYS).map(([key, dynamic]) => (
              <Tool
                key={key}
                text={sayDynamic(say, dynamic)}
                hotkey={key}
                on={chosen.every((one) => one.dynamic === dynamic)}
                onPress={() => run({ kind: 'dynamic', dynamic })}
              />
            ))}
          </Group>
          <Group>
            {LIMB_KEYS.map((letter) => (
              <Tool
                key={letter}
                text={letter}
                hotkey={letter.toLowerCase()}
                on={chosen.every((one) => one.limb === STICKING_LETTERS[letter])}
                onPress={() => run({ kind: 'limb', letter })}
              />
            ))}
          </Group>
          <Group>
            {Object.entries(ORNAMENT_KEYS).map(([key, ornament]) => (
              <Tool
                key={key}
                text={sayOrnament(say, ornament)}
                hotkey={key}
                on={chosen.every((one) => one.ornament === ornament)}
                onPress={() => run({ kind: 'ornament', ornament })}
              />
            ))}
          </Group>
        </>
      )}
      {!none && (
        <Choice<VoiceId>
          label={say.t('screen.bench.voiceOfTheStroke')}
          options={VOICES.map(({ id }) => ({ value: id, text: sayVoice(say, id) }))}
          value={voiceOf(chosen)}
          onChoose={(voice) => run({ kind: 'voice', voice })}
        >
          {sayVoices(say, chosen)}
        </Choice>
      )}
      {!none && (
        <Choice<TextureId | typeof USUAL>
          label={say.t('screen.bench.texture')}
          options={[
            { value: USUAL, text: say.t('screen.bench.theUsualWay') },
            ...TEXTURES.map(({ id }) => ({ value: id, text: sayTexture(say, id) })),
          ]}
          value={chosen[0]?.texture ?? USUAL}
          onChoose={(id) => run({ kind: 'texture', texture: id === USUAL ? null : id })}
        >
          {chosen[0]?.texture
            ? sayTexture(say, chosen[0].texture)
            : say.t('screen.bench.textureWord')}
        </Choice>
      )}
      <Group>
        {!none && <Plain text={say.t('screen.bench.copy')} command={{ kind: 'copy' }} run={run} />}
        {editor.hasClip && (
          <Plain text={say.t('screen.bench.paste')} command={{ kind: 'paste' }} run={run} />
        )}
        {!none && (
          <Plain text={say.t('screen.common.takeAway')} command={{ kind: 'remove' }} run={run} />
        )}
      </Group>
    </div>
  );
}

/** The voice that all have; undefined where they have several. */
function voiceOf([first, ...others]: readonly Stroke[]): VoiceId | undefined {
  return others.every(({ voice }) => voice === first?.voice) ? first?.voice : undefined;
}

function sayVoices(say: Say, chosen: readonly Stroke[]): string {
  const voice = voiceOf(chosen);
  return voice ? sayVoice(say, voice) : say.t('screen.bench.severalVoices');
}

function Group({ children }: { children: ReactNode }) {
  return <span className="inline-flex">{children}</span>;
}

function Tool({
  text,
  hotkey,
  on,
  onPress,
}: {
  text: string;
  hotkey: string;
  on: boolean;
  onPress: () => void;
}) {
  return (
    <Button
      look="quiet"
      className="px-1.5 text-sm"
      title={hotkey}
      aria-pressed={on}
      onClick={onPress}
    >
      {text}
    </Button>
  );
}

function Plain({
  text,
  command,
  run,
}: {
  text: string;
  command: LaneCommand;
  run: (command: LaneCommand) => void;
}) {
  return (
    <Button look="quiet" className="px-1.5 text-sm" onClick={() => run(command)}>
      {text}
    </Button>
  );
}
