'use client';

import { Dialog } from 'radix-ui';
import { useState, type ReactNode } from 'react';
import { LIMBS } from '@/core/kit';
import { CLICK_MODES, CLICK_PARTS, CLICK_SOUNDS, readClickBars } from '@/core/playing';
import { readableSize } from '@/core/sight';
import { sayClickMode, sayClickSound, sayLimb } from '@/words';
import { Button, useSpeech } from '../base';
import { SHOWS } from '../marks';
import { TapDelay } from '../play';
import { ThemeSwitch } from '../shell';
import {
  CLICK_SCOPES,
  clickFor,
  inRange,
  SEAT_RANGE,
  withClick,
  type Click,
  type ClickScope,
  type SetUp as Settings,
} from './kept';

/** An exercise and its rung, by their keys. */
export interface OnStand {
  readonly item: string;
  readonly rung: string;
}

/** How this device stands at the kit: click, what is heard, hands-free, how large; kept at once. */
export function SetUpDialog({
  settings,
  of,
  onSet,
  onClose,
}: {
  settings: Settings;
  /** What is on the stand. */
  of: OnStand;
  onSet: (change: Partial<Settings>) => void;
  onClose: () => void;
}) {
  const { say } = useSpeech();
  const { hear, handsFree, shows, count, sticking, stays, tapIn } = settings;
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
          <ClickFields {...{ settings, of, onSet }} />
          <Row name={say.t('screen.stand.startCapital')}>
            <Pick on={!tapIn} onPick={() => onSet({ tapIn: false })}>
              {say.t('screen.stand.countInBar')}
            </Pick>
            <Pick on={tapIn} onPick={() => onSet({ tapIn: true })}>
              {say.t('screen.stand.tapABar')}
            </Pick>
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
          <Row name={say.t('screen.stand.patternAs')}>
            <Picks
              ids={SHOWS}
              say={(one) => say.t(`screen.stand.shows.${one}`)}
              chosen={shows}
              onPick={(one) => onSet({ shows: one })}
            />
            {shows === 'staff' && (
              <Pick on={count} onPick={() => onSet({ count: !count })}>
                {say.t('screen.stand.withTheCount')}
              </Pick>
            )}
            {shows !== 'lanes' && (
              <Pick on={sticking} onPick={() => onSet({ sticking: !sticking })}>
                {say.t('screen.stand.withTheSticking')}
              </Pick>
            )}
          </Row>
          <Row name={say.t('screen.stand.nextExercise')}>
            <Pick on={!stays} onPick={() => onSet({ stays: false })}>
              {say.t('screen.stand.asPlanned')}
            </Pick>
            <Pick on={stays} onPick={() => onSet({ stays: true })}>
              {say.t('screen.stand.whenTheRungMoves')}
            </Pick>
          </Row>
          <TapDelay />
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

/** What the click is like, and for what. */
function ClickFields({
  settings,
  of: { item, rung },
  onSet,
}: {
  settings: Settings;
  of: OnStand;
  onSet: (change: Partial<Settings>) => void;
}) {
  const { say } = useSpeech();
  const kept = clickFor(settings, item, rung);
  const [scope, setScope] = useState(kept.scope);
  const { click } = kept;
  const put = (to: ClickScope, change: Partial<Click> = {}) =>
    onSet(withClick(settings, { scope: to, item, rung }, { ...click, ...change }));
  return (
    <>
      <Row name={say.t('screen.stand.clickCapital')}>
        <Picks
          ids={CLICK_MODES}
          say={(mode) => sayClickMode(say, mode)}
          chosen={click.click}
          onPick={(mode) => put(scope, { click: mode })}
        />
      </Row>
      <Row name={say.t('screen.stand.clicksToABeat')}>
        {CLICK_PARTS.map((parts) => (
          <Pick key={parts} on={click.parts === parts} onPick={() => put(scope, { parts })}>
            {parts}
          </Pick>
        ))}
        <Pick on={click.accents} onPick={() => put(scope, { accents: !click.accents })}>
          {say.t('screen.stand.accentOnOne')}
        </Pick>
      </Row>
      <Row name={say.t('screen.stand.silentBars')}>
        {SILENT.map((bars) => (
          <Pick key={bars} on={click.bars === bars} onPick={() => put(scope, { bars })}>
            {bars === '' ? say.t('screen.common.none') : [...bars].join(' ')}
          </Pick>
        ))}
        <input
          key={click.bars}
          aria-label={say.t('screen.stand.silentBarsTyped')}
          className="field w-40"
          placeholder="x x x -"
          defaultValue={[...click.bars].join(' ')}
          onChange={(event) => {
            const bars = readClickBars(event.target.value);
            event.target.ariaInvalid = bars === null ? 'true' : 'false';
          }}
          onBlur={(event) => {
            const bars = readClickBars(event.target.value);
            if (bars !== null && bars !== click.bars) put(scope, { bars });
          }}
        />
      </Row>
      <Row name={say.t('screen.stand.sound')}>
        <Picks
          ids={CLICK_SOUNDS}
          say={(one) => sayClickSound(say, one)}
          chosen={click.sound}
          onPick={(one) => put(scope, { sound: one })}
        />
      </Row>
      <Row name={say.t('screen.stand.thisClickIsFor')}>
        <Picks
          ids={CLICK_SCOPES}
          say={(one) => say.t(`screen.stand.clickFor.${one}`)}
          chosen={scope}
          onPick={(next) => {
            setScope(next);
            put(next);
          }}
        />
      </Row>
    </>
  );
}

/** Patterns of bars at a touch; x sounds, - is silent. */
const SILENT = ['', 'x-', 'xx--', 'xxx-', 'x---'] as const;

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
