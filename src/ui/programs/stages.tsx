'use client';

import {
  MANNERS,
  readWay,
  writeWay,
  type Manner,
  type PracticeStep,
  type StageWay,
} from '@/core/ladder';
import { sayManner } from '@/words';
import { Button, TypedField, useSpeech } from '../base';

/** Rungs that are not tempi, in order. */
export function Stages({
  stages,
  tempo,
  steps,
  onSet,
}: {
  stages: readonly PracticeStep[];
  /** Of those that have none of their own. */
  tempo: string;
  steps: (() => readonly PracticeStep[]) | undefined;
  onSet: (stages: PracticeStep[]) => void;
}) {
  const { say } = useSpeech();
  return (
    <div className="mt-1.5">
      <ol aria-label={say.t('screen.common.rungs')} className="list-decimal pl-6">
        {stages.map((stage, index) => {
          const says = stage.kind === 'step' ? stage.says : sayManner(say, stage.manner);
          return (
            <li key={index}>
              <span className="inline-block w-80 max-w-full">{says}</span>{' '}
              <TypedField<StageWay | null>
                label={say.t('screen.programs.tempiOf', { says })}
                value={stage.way ?? null}
                write={(way) => (way === null ? '' : writeWay(way))}
                read={readWay}
                trouble={say.t('screen.programs.typeATempoOrTwo')}
                onTake={(way) =>
                  onSet(
                    stages.map((one, at) =>
                      at === index ? { ...one, way: way ?? undefined } : one,
                    ),
                  )
                }
                placeholder={tempo}
                className="field w-24 text-center"
              />
              <Button
                look="quiet"
                aria-label={say.t('screen.programs.leaveOut', { says })}
                onClick={() => onSet(stages.filter((_, at) => at !== index))}
              >
                {say.t('screen.programs.leaveOutWord')}
              </Button>
            </li>
          );
        })}
      </ol>
      <span className="flex items-center gap-2">
        {steps && (
          <Button onClick={() => onSet([...steps()])}>{say.t('screen.programs.itsSteps')}</Button>
        )}
        <select
          aria-label={say.t('screen.programs.addARung')}
          className="field"
          value=""
          onChange={(event) => {
            const manner = event.target.value as Manner;
            onSet([...stages, { kind: 'manner', manner }]);
          }}
        >
          <option value="" disabled>
            {say.t('screen.programs.addRung')}
          </option>
          {MANNERS.map((id) => (
            <option key={id} value={id}>
              {sayManner(say, id)}
            </option>
          ))}
        </select>
      </span>
    </div>
  );
}
