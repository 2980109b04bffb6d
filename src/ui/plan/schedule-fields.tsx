'use client';

import { useState } from 'react';
import { ORDERS, type Schedule } from '@/core/plan';
import { NOISE_RANGE, PROTECTIONS, type Noise, type Protection } from '@/core/safety';
import { type Day } from '@/core/studio';
import { sayDay, sayProtection } from '@/words';
import { Button, DateField, TypedField, useSpeech, useUndo } from '../base';

/** @returns whether it was right and is kept */
type Set = (change: Partial<Schedule>) => boolean;

/** Dates off, the target date, the order of work, and how loud it is. */
export function ScheduleFields({
  schedule,
  today,
  onSet,
}: {
  schedule: Schedule;
  today: Day;
  onSet: Set;
}) {
  const { say } = useSpeech();
  return (
    <div className="flex flex-col gap-3 text-sm">
      <p className="flex flex-wrap items-center gap-2">
        <label className="flex items-center gap-2">
          <span className="label">{say.t('screen.plan.targetDate')}</span>
          <DateField
            label={say.t('screen.plan.targetDate')}
            value={schedule.target}
            min={today}
            onTake={(target) => onSet({ target })}
          />
        </label>
      </p>
      <p className="flex flex-wrap items-center gap-2">
        <span className="label">{say.t('screen.plan.order')}</span>
        {ORDERS.map((order) => (
          <Button
            key={order}
            aria-pressed={schedule.order === order}
            onClick={() => onSet({ order })}
          >
            {say.t(`screen.plan.orders.${order}`)}
          </Button>
        ))}
      </p>
      <DatesOff schedule={schedule} today={today} onSet={onSet} />
      <NoiseFields noise={schedule.noise} onSet={(noise) => onSet({ noise })} />
    </div>
  );
}

function DatesOff({ schedule, today, onSet }: { schedule: Schedule; today: Day; onSet: Set }) {
  const { say } = useSpeech();
  const undoable = useUndo();
  const [from, setFrom] = useState<Day | null>(null);
  const [to, setTo] = useState<Day | null>(null);
  const ahead = schedule.off.filter((one) => one.to >= today);

  function remove(one: Schedule['off'][number]) {
    const before = schedule.off;
    onSet({ off: before.filter((other) => other !== one) });
    undoable(say.t('screen.plan.daysOffFromRemoved', { day: sayDay(say, one.from) }), () =>
      onSet({ off: before }),
    );
  }

  return (
    <div>
      <form
        className="flex flex-wrap items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (!from) return;
          if (!onSet({ off: [...schedule.off, { from, to: to ?? from }] })) return;
          setFrom(null);
          setTo(null);
        }}
      >
        <span className="label">{say.t('screen.plan.off')}</span>
        <DateField label={say.t('screen.plan.offFrom')} required value={from} onTake={setFrom} />
        {say.t('screen.plan.offUntil')}
        <DateField label={say.t('screen.plan.offTo')} value={to} onTake={setTo} />
        <Button type="submit">{say.t('screen.common.add')}</Button>
      </form>
      <ul className="mt-1 flex flex-wrap gap-1">
        {ahead.map((one) => (
          <li key={`${one.from} ${one.to}`} className="flex items-center border border-line pl-2">
            {one.from === one.to
              ? sayDay(say, one.from)
              : `${sayDay(say, one.from)} – ${sayDay(say, one.to)}`}
            <Button
              look="quiet"
              className="!h-6"
              aria-label={say.t('screen.plan.removeTheDaysOffFrom', { day: sayDay(say, one.from) })}
              onClick={() => remove(one)}
            >
              ×
            </Button>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** How loud kit and pad are at the ear, and what protects it. */
function NoiseFields({ noise, onSet }: { noise: Noise; onSet: (noise: Noise) => void }) {
  const { say } = useSpeech();
  return (
    <p className="flex flex-wrap items-center gap-x-3 gap-y-1">
      <Level
        name={say.t('screen.common.kit')}
        value={noise.kit}
        unit={say.t('screen.plan.dba')}
        range={NOISE_RANGE.kit}
        onSet={(kit) => onSet({ ...noise, kit })}
      />
      <Level
        name={say.t('screen.plan.pad')}
        value={noise.pad}
        unit={say.t('screen.plan.dba')}
        range={NOISE_RANGE.pad}
        onSet={(pad) => onSet({ ...noise, pad })}
      />
      <label className="flex items-center gap-1">
        <span className="label">{say.t('screen.plan.hearingProtection')}</span>
        <select
          className="field"
          value={noise.protection}
          onChange={(event) => onSet({ ...noise, protection: event.target.value as Protection })}
        >
          {PROTECTIONS.map((id) => (
            <option key={id} value={id}>
              {sayProtection(say, id)}
            </option>
          ))}
        </select>
      </label>
      {noise.protection !== 'none' && (
        <Level
          name={say.t('screen.plan.rated')}
          value={noise.label}
          unit={say.t('screen.plan.db')}
          range={NOISE_RANGE.label}
          onSet={(label) => onSet({ ...noise, label })}
        />
      )}
    </p>
  );
}

function Level({
  name,
  value,
  unit,
  range: [least, most],
  onSet,
}: {
  name: string;
  value: number;
  unit: string;
  range: readonly [number, number];
  onSet: (value: number) => void;
}) {
  const { say } = useSpeech();
  return (
    <label className="flex items-center gap-1">
      <span className="label">{name.toLocaleLowerCase(say.locale)}</span>
      <TypedField
        label={say.t('screen.plan.in', { name, unit })}
        value={value}
        write={String}
        read={(text) => {
          const typed = Number(text.trim() || NaN);
          return typed >= least && typed <= most ? typed : undefined;
        }}
        trouble={say.t('screen.common.setTo', { least, most })}
        onTake={onSet}
        inputMode="decimal"
        className="field w-14 text-right"
      />
      {unit}
    </label>
  );
}
