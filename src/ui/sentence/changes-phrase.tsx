'use client';

import { type Change } from '@/core/recipe';
import { sayChange } from '@/words';
import { Button, Choice, Pop, PopRoot, PopTrigger, useSpeech } from '../base';
import { changeOptions, CHANGE_STARTS } from './change-starts';
import type { PlacementRange } from './change-place';
import { ChangeEditor } from './editors';
import { sayElsewhere } from './elsewhere';
import { TakeAway } from './phrase-parts';

/** Adds a change; empty sentences show nothing else. */
export function AddChange({ onAdd }: { onAdd: (change: Change) => void }) {
  const { say } = useSpeech();
  return (
    <Choice
      label={say.t('screen.bench.changeItBy')}
      options={changeOptions(say)}
      wide
      className="phrase-add"
      elsewhere={(text) => sayElsewhere(say, text, null)}
      onChoose={(key) => {
        const start = CHANGE_STARTS[Number(key)];
        if (start) onAdd(start);
      }}
    >
      {say.t('screen.bench.addChange')}
    </Choice>
  );
}

/** The changes in order, each to be edited or taken away. */
export function ChangesPhrase({
  changes,
  onChange,
  onAll,
  onVary,
}: {
  changes: readonly Change[];
  onChange: (changes: Change[], about?: string) => void;
  /** Puts a change into the other parts too. */
  onAll?: (change: Change) => void;
  /** Makes a family of all placements that a rule allows. */
  onVary?: (index: number, range: PlacementRange) => void;
}) {
  const { say } = useSpeech();
  return (
    <>
      {changes.map((change, index) => {
        const replace = (next: Change) =>
          onChange(
            changes.map((one, at) => (at === index ? next : one)),
            `change-${index}`,
          );
        return (
          <span key={index}>
            {index > 0 && <span className="text-soft">{say.t('screen.bench.then')} </span>}
            <PopRoot>
              <PopTrigger className="phrase">{sayChange(say, change)}</PopTrigger>
              <Pop className="max-h-[70vh] max-w-[44rem] overflow-y-auto p-3">
                <ChangeEditor
                  change={change}
                  onChange={replace}
                  onVary={onVary && ((range) => onVary(index, range))}
                />
                {onAll && (
                  <Button look="quiet" className="mt-2" onClick={() => onAll(change)}>
                    {say.t('screen.bench.inTheOtherPartsToo')}
                  </Button>
                )}
              </Pop>
            </PopRoot>
            <TakeAway
              what={sayChange(say, change)}
              onClick={() => onChange(changes.filter((_, at) => at !== index))}
            />{' '}
          </span>
        );
      })}
    </>
  );
}
