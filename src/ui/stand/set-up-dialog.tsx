'use client';

import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { LIMBS } from '@/core/kit';
import { CLICK_MODES, CLICK_SOUNDS } from '@/core/playing';
import { readableSize } from '@/core/sight';
import { sayClickMode, sayClickSound, sayLimb } from '@/words';
import { Button, useSpeech } from '../base';
import { ThemeSwitch } from '../shell';
import { inRange, SEAT_RANGE, type SetUp as Settings } from './kept';

/** How this device stands at the kit: click, what is heard, hands-free, how large; kept at once. */
export function SetUpDialog({
  settings,
  onSet,
  onClose,
}: {
  settings: Settings;
  onSet: (change: Partial<Settings>) => void;
  onClose: () => void;
}) {
  const { say } = useSpeech();
  const { click, sound, hear, handsFree } = settings;
  return (
    <Dialog.Root open onOpenChange={onClose}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-black/30" />
        <Dialog.Content
          aria-describedby={undefined}
          className="pop fixed top-1/2 left-1/2 flex max-h-[92dvh] w-[40rem] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 flex-col gap-5 overflow-y-auto p-6 text-lg"
        >
          <Dialog.Title className="font-serif text-2xl">
            {say.t('screen.stand.setUpCapital')}
          </Dialog.Title>
          <Row name={say.t('screen.stand.clickCapital')}>
            <Picks
              ids={CLICK_MODES}
              say={(mode) => sayClickMode(say, mode)}
              chosen={click}
              onPick={(mode) => onSet({ click: mode })}
            />
          </Row>
          <Row name={say.t('screen.stand.sound')}>
            <Picks
              ids={CLICK_SOUNDS}
              say={(one) => sayClickSound(say, one)}
              chosen={sound}
              onPick={(one) => onSet({ sound: one })}
            />
          </Row>
          <Row name={say.t('screen.common.hearCapital')}>
            {LIMBS.map((limb) => (
              <Pick
                key={limb}
                on={hear.includes(limb)}
                onPick={() =>
                  onSet({
                    hear: LIMBS.filter((one) => hear.includes(one) !== (one === limb)),
                  })
                }
              >
                {sayLimb(say, limb)}
              </Pick>
            ))}
          </Row>
          <Row name={say.t('screen.stand.betweenTries')}>
            <Pick on={!handsFree} onPick={() => onSet({ handsFree: false })}>
              {say.t('screen.stand.askHowItWas')}
            </Pick>
            <Pick on={handsFree} onPick={() => onSet({ handsFree: true })}>
              {say.t('screen.stand.goOnAskAtTheBreak')}
            </Pick>
          </Row>
          <SeatFields settings={settings} onSet={onSet} />
          <Row name={say.t('screen.common.light')}>
            <ThemeSwitch size={22} />
          </Row>
          <Dialog.Close asChild>
            <Button look="main" className="h-12 text-xl">
              {say.t('screen.stand.doneCapital')}
            </Button>
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Row({ name, children }: { name: string; children: ReactNode }) {
  return (
    <fieldset className="flex flex-wrap items-center gap-2">
      <legend className="label mb-1">{name}</legend>
      {children}
    </fieldset>
  );
}

/** One of several, by its name. */
function Picks<Id extends string>({
  ids,
  say,
  chosen,
  onPick,
}: {
  ids: readonly Id[];
  say: (id: Id) => string;
  chosen: Id;
  onPick: (id: Id) => void;
}) {
  return ids.map((id) => (
    <Pick key={id} on={chosen === id} onPick={() => onPick(id)}>
      {say(id)}
    </Pick>
  ));
}

function Pick({ on, onPick, children }: { on: boolean; onPick: () => void; children: ReactNode }) {
  return (
    <Button aria-pressed={on} onClick={onPick} className="h-11 text-lg">
      {children}
    </Button>
  );
}

/** My screen, my distance: how large the tempo and the bar have to be. */
function SeatFields({
  settings,
  onSet,
}: {
  settings: Settings;
  onSet: (change: Partial<Settings>) => void;
}) {
  const { say } = useSpeech();
  const { inches, metres } = settings;
  const { size, metres: reads } = readableSize(settings, {
    width: window.screen.width,
    height: window.screen.height,
  });
  return (
    <Row name={say.t('screen.stand.myScreenMyDistance')}>
      <Measure
        name={say.t('screen.stand.screenInInches')}
        unit={say.t('screen.stand.inches')}
        value={inches}
        step={0.1}
        range={SEAT_RANGE.inches}
        onSet={(value) => onSet({ inches: value })}
      />
      <Measure
        name={say.t('screen.stand.distanceInMetres')}
        unit={say.t('screen.stand.mAway')}
        value={metres}
        step={0.1}
        range={SEAT_RANGE.metres}
        onSet={(value) => onSet({ metres: value })}
      />
      <span className="font-serif leading-none" style={{ fontSize: Math.min(size, 110) }}>
        60
      </span>
      {reads < metres - 0.05 && (
        <span role="status" className="text-base text-soft">
          {say.t('screen.stand.readUpTo', { metres: Math.round(reads * 10) / 10 })}
        </span>
      )}
    </Row>
  );
}

function Measure({
  name,
  unit,
  value,
  step,
  range,
  onSet,
}: {
  name: string;
  unit: string;
  value: number;
  step: number;
  range: readonly [number, number];
  onSet: (value: number) => void;
}) {
  return (
    <label className="flex items-baseline gap-2">
      <input
        type="number"
        aria-label={name}
        className="field w-20 text-right"
        defaultValue={value}
        min={range[0]}
        max={range[1]}
        step={step}
        onChange={(event) => {
          const typed = inRange(event.target.valueAsNumber, range);
          event.target.ariaInvalid = typed === null ? 'true' : 'false';
          if (typed !== null) onSet(typed);
        }}
      />
      {unit}
    </label>
  );
}
