'use client';

import { useEffect, useEffectEvent, useMemo, useRef } from 'react';
import type { BundleSummary, FileLook, SettingId } from '@/core/studio';
import { sayImportsIn, type Say } from '@/words';
import { Button, Trouble, useSpeech } from '../base';
import { LogLook } from './log-look';
import { MusicLook } from './music-look';
import { useImport, type ArchiveFile } from './use-import';

const ENDINGS = '.json,.musicxml,.xml,.mxl,.mid,.midi,.csv,.txt';

/** A file that comes in: chosen, looked into, and taken in or left.
 * @param comes one that is there already when the page opens, and is looked into at once */
export function ImportFile({
  archive,
  comes,
}: {
  archive: ArchiveFile;
  comes?: () => File | null;
}) {
  const { say: sayHere, speech } = useSpeech();
  const say = useMemo(() => sayImportsIn(sayHere.locale, speech), [sayHere.locale, speech]);
  const input = useRef<HTMLInputElement>(null);
  const { file, look, choices, issues, busy, choose, change, take, forget } = useImport(
    say,
    archive,
  );

  const chooseComing = useEffectEvent(() => {
    const coming = comes?.();
    if (coming) void choose(coming);
  });
  useEffect(() => chooseComing(), []);

  function leave() {
    if (input.current) input.current.value = '';
    forget();
    input.current?.focus();
  }

  return (
    <div className="flex flex-col gap-3">
      <label className="flex items-center gap-2">
        <span>{say.t('imports.importAFile')}</span>
        <input
          ref={input}
          type="file"
          className="file:mr-2 file:h-8 file:rounded-sm file:border file:border-line file:bg-sheet file:px-3"
          accept={ENDINGS}
          onChange={(event) => {
            const chosen = event.target.files?.[0];
            if (chosen) void choose(chosen);
            else forget();
          }}
        />
      </label>
      <p role="status" className="flex items-center gap-3 text-soft empty:hidden">
        {busy !== null && (
          <>
            {say.t('imports.reading', { file: busy })}
            <Button look="quiet" onClick={leave}>
              {say.t('imports.stop')}
            </Button>
          </>
        )}
      </p>
      <Trouble issues={issues} />
      {file && look && (
        <div className="flex flex-col gap-3 border-l-3 border-warm pl-3">
          {look.kind === 'bundle' ? (
            <BundleLook say={say} summary={look.summary} />
          ) : look.kind === 'log' ? (
            <LogLook
              say={say}
              look={look}
              student={choices.student}
              onStudent={(student) => void change({ ...choices, student })}
            />
          ) : look.kind === 'roster' ? (
            <RosterLook say={say} look={look} />
          ) : (
            <MusicLook say={say} look={look} onChange={(next) => void change(next)} />
          )}
          <div className="flex gap-2">
            {brings(look) ? (
              <Button
                look="main"
                aria-busy={busy !== null}
                onClick={() => void take().then(leaveInput)}
              >
                {say.t('imports.import')}
              </Button>
            ) : (
              <span className="self-center">{say.t('imports.nothingComes')}</span>
            )}
            <Button onClick={leave}>{say.t('imports.leaveIt')}</Button>
          </div>
        </div>
      )}
    </div>
  );

  function leaveInput() {
    if (input.current) input.current.value = '';
  }
}

/** Whether anything would come in. */
function brings(look: FileLook): boolean {
  switch (look.kind) {
    case 'bundle': {
      const { knownStudents: _, knownSettings: __, known: ___, ...coming } = look.summary;
      return Object.values(coming).some((one) => one.length > 0);
    }
    case 'log':
    case 'roster':
      return look.coming.length > 0;
    case 'music':
      return look.parts.some(({ drafts }) => drafts.length > 0);
  }
}

function RosterLook({ say, look }: { say: Say; look: Extract<FileLook, { kind: 'roster' }> }) {
  return (
    <dl className="grid grid-cols-[8rem_1fr] gap-x-3">
      <Row say={say} name={say.t('imports.students')} all={look.coming.map(({ name }) => name)} />
      <Row say={say} name={say.t('imports.hereAlready')} all={look.known} />
    </dl>
  );
}

function BundleLook({ say, summary }: { say: Say; summary: BundleSummary }) {
  const programs = summary.programs.map(({ name, items }) =>
    say.t('imports.withItems', { name, items }),
  );
  const said = (all: readonly SettingId[]) => all.map((one) => say.t(`imports.setting.${one}`));
  const students = summary.students.map(({ name, tries }) =>
    say.t('imports.withTries', { name, tries }),
  );
  return (
    <dl className="grid grid-cols-[8rem_1fr] gap-x-3">
      <Row say={say} name={say.t('imports.students')} all={students} />
      <Row say={say} name={say.t('imports.studentsLeft')} all={summary.knownStudents} />
      <Row say={say} name={say.t('imports.programs')} all={programs} />
      <Row say={say} name={say.t('imports.exercises')} all={summary.exercises} />
      <Row say={say} name={say.t('imports.hereAlready')} all={summary.known} />
      <Row say={say} name={say.t('imports.families')} all={summary.families} />
      <Row say={say} name={say.t('imports.materials')} all={summary.materials} />
      <Row say={say} name={say.t('imports.settings')} all={said(summary.settings)} />
      <Row say={say} name={say.t('imports.settingsLeft')} all={said(summary.knownSettings)} />
    </dl>
  );
}

/** Most names that are said of a list. */
const MOST_NAMES = 12;

function Row({ say, name, all }: { say: Say; name: string; all: readonly string[] }) {
  if (all.length === 0) return null;
  const more = all.length - MOST_NAMES;
  const shown = all.slice(0, MOST_NAMES).join(', ');
  return (
    <>
      <dt className="label">{name}</dt>
      <dd>{more > 0 ? say.t('imports.andMore', { names: shown, more }) : shown}</dd>
    </>
  );
}
