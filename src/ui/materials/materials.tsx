'use client';

import { clsx } from 'clsx';
import { useDeferredValue, useMemo, useState } from 'react';
import { SHIPPED, type Material, type MaterialKind } from '@/core/materials';
import type { ClosedRecipe } from '@/core/recipe';
import { sayMaterial, sayUse, type Say } from '@/words';
import { Button, useSpeech } from '../base';
import { ImportFile, type ArchiveFile } from '../imports';
import { MaterialDetail } from './material-detail';
import { MaterialEditor } from './material-editor';
import {
  KIND_NAMES,
  SHELF_NAMES,
  type MaterialActions,
  type MaterialDraft,
  type ShelfKind,
} from './shelf';
import { ExerciseRows, MaterialRows } from './rows';
import { draftOf, newDraft } from './drafts';

interface Saved {
  readonly id: string;
  readonly name: string;
  readonly recipe: ClosedRecipe;
}

/** Everything that exercises are made of, shipped and own: found by kind, by what it trains, and by
 * any of its words; heard, copied, edited, archived. */
export function Materials({
  kind: firstKind,
  chosen: firstChosen,
  own,
  exercises,
  actions,
  archiveFile,
}: {
  kind: string;
  chosen: string;
  own: readonly Material[];
  exercises: readonly Saved[];
  actions: MaterialActions;
  archiveFile: ArchiveFile;
}) {
  const [kind, setKind] = useState<ShelfKind>(
    firstKind in SHELF_NAMES ? (firstKind as ShelfKind) : 'ostinato',
  );
  const [search, setSearch] = useState('');
  const [trains, setTrains] = useState<string | null>(null);
  const [archived, setArchived] = useState(false);
  const [chosen, setChosen] = useState<string | null>(firstChosen || null);
  const [draft, setDraft] = useState<MaterialDraft | null>(null);
  const [importing, setImporting] = useState(false);
  const { say } = useSpeech();
  const sought = useDeferredValue(search.trim().toLowerCase());

  const all = useMemo(() => [...own, ...SHIPPED], [own]);
  const ofKind = all.filter((one) => one.kind === kind && (archived || !one.archived));
  const uses = [...new Set(ofKind.map((one) => one.trains).filter(Boolean))];
  const shown = ofKind.filter(
    (one) =>
      (trains === null || one.trains === trains) &&
      (sought === '' || wordsOf(say, one).includes(sought)),
  );
  const shownExercises = exercises.filter((one) => one.name.toLowerCase().includes(sought));
  const material = ofKind.find((one) => one.id === chosen) ?? shown[0] ?? null;

  function go(next: ShelfKind, id: string | null = null) {
    setKind(next);
    setTrains(null);
    setChosen(id);
    setDraft(null);
    setImporting(false);
    keepInAddress(next, id);
  }

  function choose(id: string) {
    setChosen(id);
    setDraft(null);
    setImporting(false);
    keepInAddress(kind, id);
  }

  const hidden = own.some((one) => one.kind === kind && one.archived);
  return (
    <main className="grid h-full min-h-0 grid-cols-[10rem_minmax(0,30rem)_minmax(0,1fr)]">
      <h1 className="sr-only">{say.t('screen.materials.materials')}</h1>
      <nav
        aria-label={say.t('screen.materials.kinds')}
        className="overflow-y-auto border-r border-line p-3"
      >
        <ul className="flex flex-col gap-0.5">
          {(Object.keys(SHELF_NAMES) as ShelfKind[]).map((one) => (
            <li key={one}>
              <button
                type="button"
                aria-current={one === kind ? 'true' : undefined}
                className={clsx(
                  'w-full rounded-sm px-2 py-1 text-left hover:bg-faint',
                  one === kind && 'bg-faint font-semibold',
                )}
                onClick={() => go(one)}
              >
                {say.t(SHELF_NAMES[one])}
              </button>
            </li>
          ))}
        </ul>
        <Button className="mt-4" aria-pressed={importing} onClick={() => setImporting(!importing)}>
          {say.t('screen.materials.importAFile')}
        </Button>
      </nav>
      <section
        aria-label={say.t(SHELF_NAMES[kind])}
        className="flex min-h-0 flex-col border-r border-line"
      >
        <div className="flex flex-col gap-2 border-b border-line p-3">
          <div className="flex gap-2">
            <input
              type="search"
              aria-label={say.t('screen.materials.searchCapital')}
              placeholder={say.t('screen.materials.search')}
              className="field min-w-0 flex-1"
              value={search}
              onChange={(event) => setSearch(event.target.value)}
            />
            {kind !== 'exercise' && (
              <Button
                look="main"
                onClick={() => {
                  setImporting(false);
                  setDraft(newDraft(kind));
                }}
              >
                {say.t('screen.materials.new', { kind: say.t(KIND_NAMES[kind]) })}
              </Button>
            )}
          </div>
          {uses.length > 1 && (
            <div
              className="flex flex-wrap gap-1"
              role="group"
              aria-label={say.t('screen.materials.goodFor')}
            >
              {uses.map((use) => (
                <Button
                  key={use}
                  look="quiet"
                  className="h-6 px-1.5 text-sm"
                  aria-pressed={trains === use}
                  onClick={() => setTrains(trains === use ? null : use)}
                >
                  {sayUse(say, use)}
                </Button>
              ))}
            </div>
          )}
        </div>
        <div className="min-h-0 flex-1 overflow-y-auto">
          {kind === 'exercise' ? (
            <ExerciseRows exercises={shownExercises} />
          ) : (
            <MaterialRows materials={shown} chosen={material?.id ?? null} onChoose={choose} />
          )}
          {(kind === 'exercise' ? shownExercises : shown).length === 0 && (
            <p className="p-4 text-soft">
              {sought || trains
                ? say.t('screen.materials.noMatchSearchForAnotherWord')
                : say.t('screen.materials.noneYet')}
            </p>
          )}
        </div>
        <p className="flex items-center gap-3 border-t border-line px-3 py-1.5 text-sm text-soft">
          {say.t('screen.materials.entries', {
            count: kind === 'exercise' ? shownExercises.length : shown.length,
          })}
          {hidden && (
            <button type="button" className="phrase" onClick={() => setArchived(!archived)}>
              {archived
                ? say.t('screen.materials.hideArchived')
                : say.t('screen.materials.showArchived')}
            </button>
          )}
        </p>
      </section>
      <section
        aria-label={say.t('screen.materials.detail')}
        className="min-w-0 overflow-y-auto p-5"
      >
        {importing ? (
          <ImportFile archive={archiveFile} />
        ) : draft ? (
          <MaterialEditor
            key={draft.id ?? draft.kind}
            draft={draft}
            save={actions.save}
            onDone={(id) => {
              setDraft(null);
              if (id) choose(id);
            }}
          />
        ) : (
          kind !== 'exercise' &&
          material && (
            <MaterialDetail
              key={`${material.id} ${material.version}`}
              material={material}
              archive={actions.archive}
              onEdit={() => setDraft(draftOf(say, material, material.own))}
              onCopy={() => setDraft(draftOf(say, material, false))}
            />
          )
        )}
      </section>
    </main>
  );
}

/** Every word that an entry can be found by. */
function wordsOf(say: Say, one: Material): string {
  const text = one.kind === 'line' ? one.content.text : '';
  const sticking = one.kind === 'sticking' ? one.content.sticking : '';
  const own = say.t(one.own ? 'screen.materials.own' : 'screen.materials.shipped');
  const said = [sayMaterial(say, one), sayUse(say, one.trains)];
  const all = [one.name, ...said, one.trains, one.meter ?? '', text, sticking, own];
  return all.join(' ').toLocaleLowerCase(say.locale);
}

/** The address keeps what is looked at, without a way through the router. */
function keepInAddress(kind: MaterialKind | 'exercise', id: string | null): void {
  const query = new URLSearchParams({ k: kind, ...(id ? { m: id } : {}) });
  window.history.replaceState(null, '', `/materials?${query}`);
}
