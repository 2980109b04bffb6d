'use client';

import { letterOf, LIMBS } from '@/core/kit';
import { DYNAMICS, type Dynamic } from '@/core/pattern';
import { fittings, limbsOfLetter, type Fitting, type Sticking } from '@/core/sticking';
import { parseMeter, subdivision, SUBDIVISIONS, type SubdivisionId } from '@/core/time';
import { sayCount } from '@/core/issue';
import { Choice, type Option } from '../base';
import { VoicePhrase } from './phrase-parts';

type Accents = Sticking['accents'];

const SLOTS: readonly Option<SubdivisionId>[] = SUBDIVISIONS.map(({ id, name }) => ({
  value: id,
  text: name,
}));

const ACCENTS: readonly Option<Accents>[] = [
  { value: 'cells', text: 'each cell accented' },
  { value: 'beats', text: 'each beat accented' },
  { value: 'bars', text: 'each bar accented' },
  { value: 'none', text: 'no accents' },
];

const SOFT: readonly Option<Dynamic>[] = DYNAMICS.map((one) => ({ value: one, text: one }));

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
  const used = LIMBS.filter((limb) =>
    [...sticking.sticking].some((letter) => limbsOfLetter(letter).includes(limb)),
  );
  return (
    <>
      {'in '}
      <Choice
        label="Sticking in"
        options={SLOTS}
        value={sticking.slot}
        onChoose={(slot) => onChange({ ...sticking, slot, bars: null, ending: '' })}
      >
        {subdivision(sticking.slot).name}
      </Choice>
      {used.map((limb) => (
        <span key={limb}>
          {', '}
          {letterOf(limb)} on{' '}
          <VoicePhrase
            label={`${letterOf(limb)} sounds`}
            value={sticking.voices[limb]}
            onChoose={(id) => onChange({ ...sticking, voices: { ...sticking.voices, [limb]: id } })}
          />
        </span>
      ))}
      {'; '}
      <Choice
        label="Accents"
        options={ACCENTS}
        value={sticking.accents}
        onChoose={(accents) => onChange({ ...sticking, accents })}
      >
        {ACCENTS.find((one) => one.value === sticking.accents)?.text ?? sticking.accents}
      </Choice>
      {', the rest '}
      <Choice
        label="The rest"
        options={SOFT}
        value={sticking.soft}
        onChoose={(soft) => onChange({ ...sticking, soft })}
      >
        {sticking.soft}
      </Choice>
      {'; '}
      <FitPhrase sticking={sticking} meter={meter} onChange={onChange} />
      {', '}
      <button
        type="button"
        className="phrase"
        aria-pressed={sticking.sides === 'hand over'}
        onClick={() =>
          onChange({ ...sticking, sides: sticking.sides === 'written' ? 'hand over' : 'written' })
        }
      >
        {sticking.sides === 'written' ? 'sides as written' : 'changing sides'}
      </button>
    </>
  );
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
  const read = parseMeter(meter);
  const all = read.ok ? fittings(sticking.sticking, sticking.slot, read.value) : [];
  const now = sticking.bars === null ? FULL : `${sticking.bars} ${sticking.ending}`;
  if (all.length === 0 && now === FULL) return <>full cycle</>;
  const options: readonly Option<string>[] = [
    { value: FULL, text: 'full cycle', hint: read.ok ? 'over the bar line' : undefined },
    ...all.map((one) => ({
      value: `${one.bars} ${one.ending}`,
      text: sayFitting(one),
      hint: one.next ? `then ${one.next} leads` : undefined,
    })),
  ];
  return (
    <Choice
      label="Fitted"
      options={options}
      value={now}
      wide
      onChoose={(value) => {
        const chosen = all.find((one) => `${one.bars} ${one.ending}` === value);
        onChange({ ...sticking, bars: chosen?.bars ?? null, ending: chosen?.ending ?? '' });
      }}
    >
      {now === FULL
        ? 'full cycle'
        : `fitted to ${sayBars(sticking.bars ?? 1)} with ${sticking.ending}`}
    </Choice>
  );
}

function sayFitting({ bars, repeats, ending }: Fitting): string {
  return `${sayBars(bars)}: ${sayCount(repeats, 'time')}, then ${ending}`;
}

function sayBars(bars: number): string {
  return bars === 1 ? 'one bar' : `${bars} bars`;
}
