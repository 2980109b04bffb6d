'use client';

import { Play, Square } from 'lucide-react';
import { useMemo } from 'react';
import { type Result } from '@/core/issue';
import type { Material } from '@/core/materials';
import { scoreOf } from '@/core/playing';
import { expand, recipeOfMaterial } from '@/core/recipe';
import type { MaterialId } from '@/core/studio';
import { bpm, tempoFor } from '@/core/time';
import { sayHandedness, sayHow, sayMaterial, sayUse, sayVoice } from '@/words';
import { attemptOrSay, Button, Trouble, useSpeech, useUndo } from '../base';
import { SheetButton } from '../sheets';
import { LineNotation, readLine, ScoreSheet } from '../marks';
import { usePlayback } from '../play';
import { RecipeLink } from '../shell/recipe-link';

/** Tempo at which a material is heard here. */
const HEARD_AT = bpm(80);

/** One material: what it looks and sounds like, and what can be done with it. */
export function MaterialDetail({
  material,
  archive,
  onEdit,
  onCopy,
}: {
  material: Material;
  archive: (id: MaterialId, archived: boolean) => Promise<Result<null>>;
  onEdit: () => void;
  onCopy: () => void;
}) {
  const { say } = useSpeech();
  const undoable = useUndo();
  const playback = usePlayback();
  const recipe = useMemo(() => recipeOfMaterial(material), [material]);
  const expanded = useMemo(() => expand(recipe), [recipe]);
  const { own, name, trains, meter, version } = material;
  const facts = [
    own ? say.t('screen.materials.ownVersion', { version }) : say.t('screen.materials.shipped'),
    meter,
    trains && sayUse(say, trains),
    material.grade === null ? null : say.t('screen.materials.gradeOf6', { grade: material.grade }),
  ];

  function toggle() {
    if (playback.playing) playback.stop();
    else if (expanded.ok) {
      void playback.start(scoreOf(expanded.value), tempoFor(expanded.value.meter, HEARD_AT));
    }
  }

  async function setArchived(archived: boolean) {
    const id = material.id as MaterialId;
    if (!(await attemptOrSay(() => archive(id, archived)))) return;
    if (!archived) return;
    undoable(say.t('screen.materials.archivedExercisesThatUseItKeep', { name }), () =>
      setArchived(false),
    );
  }

  return (
    <article>
      <header className="mb-4 flex flex-wrap items-start gap-x-3 gap-y-2">
        <div className="min-w-48 flex-1">
          <h2 className="font-serif text-2xl">{sayMaterial(say, material)}</h2>
          <p className="text-sm text-soft">{facts.filter(Boolean).join(' · ')}</p>
        </div>
        {expanded.ok && (
          <Button onClick={toggle} aria-pressed={playback.playing}>
            {playback.playing ? <Square size={14} aria-hidden /> : <Play size={14} aria-hidden />}
            {playback.playing
              ? say.t('screen.common.stopCapital')
              : say.t('screen.common.hearCapital')}
          </Button>
        )}
        {material.kind === 'line' && (
          <SheetButton
            name={name}
            whatOf={() => ({
              kind: 'line',
              name,
              text: material.content.text,
              meter: recipe.meter,
            })}
          />
        )}
        <RecipeLink look="main" recipe={recipe}>
          {say.t('screen.common.toTheBenchCapital')}
        </RecipeLink>
        <Button onClick={onCopy}>{say.t('screen.materials.copyCapital')}</Button>
        {own && <Button onClick={onEdit}>{say.t('screen.materials.edit')}</Button>}
        {own && (
          <Button look="quiet" onClick={() => void setArchived(!material.archived)}>
            {material.archived
              ? say.t('screen.materials.putBack')
              : say.t('screen.materials.archiveCapital')}
          </Button>
        )}
      </header>
      <Says material={material} />
      {expanded.ok ? (
        <ScoreSheet exercise={expanded.value} subscribe={playback.subscribe} />
      ) : (
        <Trouble issues={expanded.issues} />
      )}
      {(material.kind === 'cells' || material.kind === 'rules') && (
        <p className="mt-2 text-sm text-soft">{sayHow(say, recipe)}</p>
      )}
    </article>
  );
}

/** A line of so many bars is shown as a page. */
const BARS_OF_A_PAGE = 5;

function Line({ material }: { material: Material<'line'> }) {
  const { say } = useSpeech();
  const line = readLine(material.content.text, material.meter ?? '4/4');
  const { text } = material.content;
  if (!line) return <p className="mb-3 text-lg font-semibold">{text}</p>;
  const isPage = line.bars.length >= BARS_OF_A_PAGE;
  return (
    <div className="mb-3">
      <LineNotation
        line={line}
        say={say}
        even={isPage}
        numbered={isPage}
        className="gap-y-3 text-2xl"
      />
      <p className="text-sm text-soft">{text}</p>
    </div>
  );
}

/** What a material says in words and letters. */
function Says({ material }: { material: Material }) {
  const { say } = useSpeech();
  switch (material.kind) {
    case 'line':
      return <Line material={material} />;
    case 'sticking':
      return (
        <p className="mb-3 text-lg font-semibold tracking-widest">{material.content.sticking}</p>
      );
    case 'cells':
      return (
        <table className="mb-4">
          <tbody>
            {Object.entries(material.content.cells).map(([gap, cell]) => (
              <tr key={gap}>
                <th scope="row" className="pr-4 text-left font-normal text-soft">
                  {say.t('screen.materials.slotCount', { slots: Number(gap) })}
                </th>
                <td className="tracking-widest">{cell}</td>
              </tr>
            ))}
          </tbody>
        </table>
      );
    case 'kit':
      return (
        <p className="mb-4 max-w-xl">
          {material.content.handedness !== 'right' &&
            `${sayHandedness(say, material.content.handedness)}; `}
          {material.content.voices.map((id) => sayVoice(say, id)).join(', ')}
        </p>
      );
    case 'ostinato':
    case 'rules':
      return null;
  }
}
