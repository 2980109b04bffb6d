'use client';

import type { ReactNode } from 'react';
import {
  limbName,
  STICKING_LETTERS,
  texture,
  TEXTURES,
  VOICES,
  type StickingLetter,
  type TextureId,
  type VoiceId,
} from '@/core/kit';
import type { Exercise, SeenEdit } from '@/core/recipe';
import { countName, subdivision, type SubdivisionId } from '@/core/time';
import { Button, Choice, useSpeech, type Option } from '../../base';
import { ScoreSheet, type RowKind, type Subscribe } from '../../marks';
import {
  DYNAMIC_KEYS,
  ORNAMENT_KEYS,
  useLaneEditing,
  type LaneCommand,
  type LaneEditor,
} from './use-lane-editing';

const GRIDS: readonly Option<SubdivisionId>[] = (
  ['8', '16', '32', '8t', '16t', '5', '7'] as const
).map((id) => ({ value: id, text: subdivision(id).name }));

const VOICE_OPTIONS: readonly Option<VoiceId>[] = VOICES.map(({ id, name }) => ({
  value: id,
  text: name,
}));

const USUAL = 'usual';

const TEXTURE_OPTIONS: readonly Option<TextureId | typeof USUAL>[] = [
  { value: USUAL, text: 'the usual way' },
  ...TEXTURES.map(({ id, name }) => ({ value: id, text: name })),
];

const LIMB_KEYS = Object.keys(STICKING_LETTERS) as readonly StickingLetter[];

/** Lanes that are written on, by mouse and keys, with the staff under them. */
export function EditableSheet({
  exercise,
  rows,
  staff,
  subscribe,
  onEdit,
}: {
  exercise: Exercise;
  rows: RowKind;
  staff: boolean;
  subscribe?: Subscribe;
  onEdit: (edits: readonly SeenEdit[]) => void;
}) {
  const editor = useLaneEditing(exercise, rows, onEdit);
  const { syllables } = useSpeech();
  const { cursor } = editor.editing;
  const place = cursor
    ? `bar ${Math.floor(cursor.at / exercise.barTicks) + 1}, ${countName(cursor.at, exercise.meter, syllables)}, ${sayRow(cursor.row)}`
    : '';
  const says = editor.chosen.map(({ limb, dynamic, ornament }) =>
    [limbName(limb), dynamic, ornament].filter(Boolean).join(' '),
  );
  return (
    <>
      <Tools editor={editor} />
      {/* The lanes take keys like a grid of cells: arrows move, letters write. */}
      <div
        role="application"
        aria-label="Lanes"
        aria-describedby="lane-keys"
        tabIndex={0}
        className="rounded-sm focus-visible:outline-1 focus-visible:outline-offset-4 focus-visible:outline-warm"
        onKeyDown={editor.onKeyDown}
      >
        <ScoreSheet
          exercise={exercise}
          rows={rows}
          staff={staff}
          subscribe={subscribe}
          editing={editor.editing}
        />
      </div>
      <p id="lane-keys" className="mt-1 text-xs text-soft">
        Arrows move, Shift selects, Alt moves notes · x on and off · a g n levels · r l k f limbs ·
        m d u i o z ornaments · Ctrl c v
      </p>
      <p role="status" className="sr-only">
        {cursor ? `${place}: ${says.join(', ') || 'empty'}` : ''}
      </p>
    </>
  );
}

function sayRow(row: string): string {
  return VOICES.find((one) => one.id === row)?.name ?? limbName(row as 'RH');
}

function Tools({ editor }: { editor: LaneEditor }) {
  const { chosen, run } = editor;
  const none = chosen.length === 0;
  return (
    <div
      role="toolbar"
      aria-label="Write on the lanes"
      className="mb-1 flex flex-wrap gap-x-3 gap-y-1"
    >
      <span className="inline-flex items-center gap-1">
        <span className="label">grid</span>
        <Choice label="Writing grid" options={GRIDS} value={editor.grid} onChoose={editor.setGrid}>
          {subdivision(editor.grid).name}
        </Choice>
        <Choice
          label="Another row"
          options={VOICE_OPTIONS}
          className="phrase-add"
          onChoose={editor.addRow}
        >
          + row
        </Choice>
      </span>
      {!none && (
        <>
          <Group>
            {Object.entries(DYNAMIC_KEYS).map(([key, dynamic]) => (
              <Tool
                key={key}
                text={dynamic}
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
                text={ornament}
                hotkey={key}
                on={chosen.every((one) => one.ornament === ornament)}
                onPress={() => run({ kind: 'ornament', ornament })}
              />
            ))}
          </Group>
        </>
      )}
      {!none && (
        <Choice
          label="Texture"
          options={TEXTURE_OPTIONS}
          value={chosen[0]?.texture ?? USUAL}
          onChoose={(id) => run({ kind: 'texture', texture: id === USUAL ? null : id })}
        >
          {chosen[0]?.texture ? texture(chosen[0].texture).name : 'texture'}
        </Choice>
      )}
      <Group>
        {!none && <Plain text="copy" command={{ kind: 'copy' }} run={run} />}
        {editor.hasClip && <Plain text="paste" command={{ kind: 'paste' }} run={run} />}
        {!none && <Plain text="take away" command={{ kind: 'remove' }} run={run} />}
      </Group>
    </div>
  );
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
