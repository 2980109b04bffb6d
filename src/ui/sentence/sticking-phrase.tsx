'use client';

import { letterOf, LIMBS } from '@/core/kit';
import { fittings, gridsIn, inGrid, isPlain, limbsOfLetter, type Sticking } from '@/core/sticking';
import { parseMeter, type SubdivisionId, SUBDIVISIONS } from '@/core/time';
import {
  sayAccented,
  sayDynamic,
  sayDynamics,
  sayStickingAccents,
  sayStickingGrids,
  saySubdivision,
} from '@/words';
import { Choice, type Option, useSpeech } from '../base';
import { VoicePhrase } from './phrase-parts';

type Accents = Sticking['accents'];

const ACCENTS = ['cells', 'beats', 'bars', 'none'] as const satisfies readonly Accents[];

/** How a sticking is played: in which slots, on what, accented how, and how it meets the bar. */
export function StickingPhrase({
  sticking,
  meter,
  onChange,
}: {
  sticking: Sticking;
  meter: string;
  onChange: (sticking: Sticking) => void;
}) {
  const { say } = useSpeech();
  const grids = gridsIn(sticking.sticking, sticking.slot);
  const used = LIMBS.filter((limb) =>
    [...sticking.sticking].some((letter) => limbsOfLetter(letter).includes(limb)),
  );
  return (
    <>
      {sentence()}
      {/[rl]/.test(sticking.sticking) && (
        <span role="status" className="ml-2 text-[0.85rem] text-soft">
          {say.t('screen.bench.smallLettersAreFeet')}{' '}
          <button
            type="button"
            className="phrase"
            onClick={() => onChange({ ...sticking, sticking: handLetters(sticking.sticking) })}
          >
            {say.t('screen.bench.playThemWithTheHands')}
          </button>
        </span>
      )}
    </>
  );

  function sentence() {
    return say.t.rich('screen.bench.stickingSentence', {
      plain: isPlain(sticking) ? 'yes' : 'no',
      slot: () => (
        <Choice<SubdivisionId>
          label={say.t('screen.bench.stickingIn')}
          options={SUBDIVISIONS.map(({ id }) => ({ value: id, text: saySubdivision(say, id) }))}
          value={grids[0]}
          onChoose={(slot) =>
            onChange({ ...sticking, ...inGrid(sticking.sticking, slot), bars: null, ending: '' })
          }
        >
          {sayStickingGrids(say, sticking)}
        </Choice>
      ),
      sounds: () =>
        used.map((limb, index) => (
          <span key={limb}>
            {index > 0 && ', '}
            {say.t.rich('screen.bench.letterOn', {
              letter: letterOf(limb),
              voice: () => (
                <VoicePhrase
                  label={say.t('screen.bench.sounds', { limb: letterOf(limb) })}
                  value={sticking.voices[limb]}
                  onChoose={(id) =>
                    onChange({ ...sticking, voices: { ...sticking.voices, [limb]: id } })
                  }
                />
              ),
            })}
          </span>
        )),
      accents: () => (
        <Choice
          label={say.t('screen.bench.accentsCapital')}
          options={ACCENTS.map((one) => ({ value: one, text: sayAccented(say, one) }))}
          value={sticking.accents}
          onChoose={(accents) => onChange({ ...sticking, accents })}
        >
          {sayStickingAccents(say, sticking)}
        </Choice>
      ),
      rest: () => (
        <Choice
          label={say.t('screen.bench.theRest')}
          options={optionsOf(sayDynamics(say))}
          value={sticking.soft}
          onChoose={(soft) => onChange({ ...sticking, soft })}
        >
          {sayDynamic(say, sticking.soft)}
        </Choice>
      ),
      fit: () => <FitPhrase sticking={sticking} meter={meter} onChange={onChange} />,
      sides: () => (
        <button
          type="button"
          className="phrase"
          aria-pressed={sticking.sides === 'hand over'}
          onClick={() =>
            onChange({
              ...sticking,
              sides: sticking.sides === 'written' ? 'hand over' : 'written',
            })
          }
        >
          {sticking.sides === 'written'
            ? say.t('screen.bench.sidesAsWritten')
            : say.t('screen.bench.changingSides')}
        </button>
      ),
    });
  }
}

/** Small letters of feet as those of hands. @example handLetters('rlRL') // => 'RLRL' */
function handLetters(text: string): string {
  return text.replace(/[rl]/g, (letter) => letter.toUpperCase());
}

function optionsOf<T extends string>(texts: Readonly<Record<T, string>>): readonly Option<T>[] {
  return Object.entries<string>(texts).map(([value, text]) => ({ value: value as T, text }));
}

const FULL = 'full';

/** Over the bar line until it comes round, or fitted to bars with another ending. */
function FitPhrase({
  sticking,
  meter,
  onChange,
}: {
  sticking: Sticking;
  meter: string;
  onChange: (sticking: Sticking) => void;
}) {
  const { say } = useSpeech();
  const read = parseMeter(meter);
  const all = read.ok ? fittings(sticking.sticking, sticking.slot, read.value) : [];
  const now = sticking.bars === null ? FULL : `${sticking.bars} ${sticking.ending}`;
  if (all.length === 0 && now === FULL) return <>{say.t('screen.bench.fullCycle')}</>;
  const options: readonly Option<string>[] = [
    {
      value: FULL,
      text: say.t('screen.bench.fullCycle'),
      hint: read.ok ? say.t('screen.bench.overTheBarLine') : undefined,
    },
    ...all.map((one) => ({
      value: `${one.bars} ${one.ending}`,
      text: say.t('screen.bench.fitting', { ...one }),
      hint: one.next ? say.t('screen.bench.thenLeads', { next: one.next }) : undefined,
    })),
  ];
  return (
    <Choice
      label={say.t('screen.bench.fitted')}
      options={options}
      value={now}
      wide
      onChoose={(value) => {
        const chosen = all.find((one) => `${one.bars} ${one.ending}` === value);
        onChange({ ...sticking, bars: chosen?.bars ?? null, ending: chosen?.ending ?? '' });
      }}
    >
      {now === FULL
        ? say.t('screen.bench.fullCycle')
        : say.t('screen.bench.fittedTo', { bars: sticking.bars ?? 1, ending: sticking.ending })}
    </Choice>
  );
}
