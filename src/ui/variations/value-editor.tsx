'use client';

import type { ReactNode } from 'react';
import type { AxisPlace, ChangeValue, PhraseValue } from '@/core/family';
import { startOf, type ClosedRecipe } from '@/core/recipe';
import { Button, Pop, PopRoot, PopTrigger, useSpeech } from '../base';
import { AsEditor, ChangeEditor, StickingEditor } from '../sentence';

type Play = NonNullable<ClosedRecipe['play']>;
type One = Extract<ChangeValue, { kind: 'one' }>;

/** One value of a phrase, with the choices that the Bench has for it, and another like it to change. */
export function ValueEditor({
  value,
  place,
  base,
  onChange,
  onAnother,
  children,
}: {
  value: PhraseValue;
  place: AxisPlace;
  base: ClosedRecipe;
  onChange: (value: PhraseValue) => void;
  onAnother: () => void;
  /** The value in words. */
  children: string;
}) {
  const { say } = useSpeech();
  const editor = editorOf(value, place, base, onChange);
  if (editor === null) return <span>{children}</span>;
  return (
    <PopRoot>
      <PopTrigger className="phrase">{children}</PopTrigger>
      <Pop className="sentence max-h-[70vh] max-w-[44rem] overflow-y-auto p-3">
        {editor}
        <Button look="quiet" className="mt-2" onClick={onAnother}>
          {say.t('screen.variations.anotherLikeIt')}
        </Button>
      </Pop>
    </PopRoot>
  );
}

/** Null where a value has no choices of its own. */
function editorOf(
  value: PhraseValue,
  place: AxisPlace,
  base: ClosedRecipe,
  onChange: (value: PhraseValue) => void,
): ReactNode {
  switch (place.at) {
    case 'change': {
      const { change } = value as One;
      if (change === null) return null;
      return (
        <ChangeEditor
          change={change}
          onChange={(next) => onChange({ kind: 'one', change: next })}
        />
      );
    }
    case 'as': {
      const recipe = { ...base, as: value as ClosedRecipe['as'] };
      return (
        <AsEditor
          recipe={recipe}
          issues={[]}
          onChange={onChange}
          onRead={(id) => onChange(startOf(id))}
        />
      );
    }
    case 'play': {
      const { content } = value as Play;
      if (!('sticking' in content)) return null;
      return (
        <StickingEditor
          sticking={content}
          meter={base.meter}
          onChange={(next) => onChange({ content: next })}
        />
      );
    }
    default:
      return null;
  }
}
