'use client';

import { clsx } from 'clsx';
import { useEffect, useRef } from 'react';
import type { Material } from '@/core/materials';
import { type ClosedRecipe } from '@/core/recipe';
import { sayMaterial, type Say } from '@/words';
import { useSpeech, Link } from '../base';
import { LineNotation, readLine, SentenceText } from '../marks';

/** The entries of one kind, a row each: name, what it says, meter or grade. */
export function MaterialRows({
  materials,
  chosen,
  onChoose,
}: {
  materials: readonly Material[];
  chosen: string | null;
  onChoose: (id: string) => void;
}) {
  const { say } = useSpeech();
  const list = useRef<HTMLUListElement>(null);
  useEffect(() => {
    list.current?.querySelector('[aria-current=true]')?.scrollIntoView({ block: 'nearest' });
  }, [chosen]);
  return (
    <ul ref={list}>
      {materials.map((one) => (
        <li key={one.id} className="border-b border-faint">
          <button
            type="button"
            aria-current={one.id === chosen ? 'true' : undefined}
            className={clsx(
              'flex w-full items-baseline gap-2 px-3 py-1.5 text-left hover:bg-faint',
              one.id === chosen && 'bg-warm-wash',
              one.archived && 'text-soft line-through',
            )}
            onClick={() => onChoose(one.id)}
          >
            <span className={one.kind === 'line' ? 'w-28 shrink-0' : 'min-w-0 flex-1'}>
              {sayMaterial(say, one)}
            </span>
            <span
              className={clsx('text-soft', one.kind === 'line' && 'min-w-0 flex-1 overflow-hidden')}
            >
              <Hint of={one} say={say} />
            </span>
            <span className="shrink-0 text-sm text-soft">
              {[
                one.grade === null ? null : say.t('screen.materials.grade', { grade: one.grade }),
                one.own ? say.t('screen.materials.own') : null,
              ]
                .filter(Boolean)
                .join(', ')}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}

/** Bars of a line that a row has room for. */
const BARS_OF_A_ROW = 2;

function Hint({ of, say }: { of: Material; say: Say }) {
  if (of.kind === 'sticking') return of.content.sticking;
  if (of.kind === 'kit') return '';
  if (of.kind !== 'line') return of.meter ?? '';
  const line = readLine(of.content.text, of.meter ?? '4/4');
  if (!line) return of.content.text;
  const start = { ...line, bars: line.bars.slice(0, BARS_OF_A_ROW) };
  const more = line.bars.length > BARS_OF_A_ROW;
  return (
    <>
      <LineNotation
        line={start}
        say={say}
        opens={false}
        ends={!more}
        className="flex-nowrap text-xs text-ink"
      />
      {more && ` ${say.t('sentence.bars', { bars: line.bars.length })}`}
    </>
  );
}

/** The studio's saved exercises, each a way to the Bench. */
export function ExerciseRows({
  exercises,
}: {
  exercises: readonly {
    readonly id: string;
    readonly name: string;
    readonly recipe: ClosedRecipe;
  }[];
}) {
  const { say } = useSpeech();
  return (
    <ul>
      {exercises.map(({ id, name, recipe }) => (
        <li key={id} className="border-b border-faint">
          <Link href={`/bench?x=${id}`} className="block px-3 py-1.5 hover:bg-faint">
            <span className="block">{name}</span>
            <span className="block text-sm text-soft">
              <SentenceText say={say} recipe={recipe} />
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
