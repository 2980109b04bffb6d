'use client';

import { fail, ok } from '@/core/issue';
import { blankRecipe, type ClosedRecipe, type Part, partsOf, withParts } from '@/core/recipe';
import { sayBesides, sayFeel, suggestName } from '@/words';
import { Choice, type Option, toast, TypedField, useSpeech } from '../base';
import { useShelf } from '../library';
import { TakeAway } from './phrase-parts';

type Parts = readonly [Part, ...Part[]];

/** What a new part can be besides an exercise that is kept. */
const NEW = 'new';
const ITSELF = 'itself';
/** A new one by the name that follows, with a click or without. */
const CALLED = { timed: 'called ', untimed: 'untimed ' } as const;

const BARS = [1, 2, 3, 4, 8, 16];

const LONGEST_NAME = 80;

/** The parts of a sequence, back to back: groove and phrase, A and B, a solo. Each has a name and its bars;
 * one of them is open. */
export function PartsPhrase({
  recipe,
  open,
  onOpen,
  onChange,
}: {
  recipe: ClosedRecipe;
  open: number;
  onOpen: (part: number) => void;
  onChange: (recipe: ClosedRecipe, about?: string) => void;
}) {
  const { say } = useSpeech();
  const parts = partsOf(recipe);

  function set(index: number, change: Partial<Part>) {
    const [first, ...others] = parts.map((one, at) => (at === index ? { ...one, ...change } : one));
    if (first) onChange(withParts([first, ...others]));
  }

  function drop(index: number) {
    const [first, ...others] = parts.filter((_, at) => at !== index);
    if (first) onChange(withParts([first, ...others]));
    if (open >= index && open > 0) onOpen(open - 1);
  }

  return (
    <ol className="flex flex-wrap gap-x-4">
      {parts.map(({ name, bars, untimed }, index) => {
        const number = index + 1;
        const called = name === '' ? say.t('screen.bench.partNumber', { number }) : name;
        return (
          <li key={index} className="inline-flex items-baseline gap-1">
            <button
              type="button"
              className="rounded-sm border border-line px-1.5 text-sm aria-pressed:bg-ink aria-pressed:text-paper"
              aria-pressed={index === open}
              aria-label={say.t('screen.bench.openPart', { name: called })}
              onClick={() => onOpen(index)}
            >
              {number}
            </button>
            <TypedField
              label={say.t('screen.bench.nameOfPart', { number })}
              value={name}
              write={(text) => text}
              read={(text) => nameFrom(text, index === 0)}
              trouble={say.t('screen.bench.typeANameForThePart')}
              placeholder={say.t('screen.bench.partNumber', { number })}
              inputMode="text"
              maxLength={LONGEST_NAME}
              className="phrase-field w-28 font-semibold"
              onTake={(next) => set(index, { name: next })}
            />
            <Bars
              label={say.t('screen.bench.barsOf', { member: called })}
              bars={bars}
              untimed={untimed}
              onChoose={(next) => set(index, { bars: next })}
            />
            <span className="text-soft">·</span>
            <button
              type="button"
              className="phrase"
              aria-pressed={untimed}
              aria-label={say.t('screen.bench.withoutAClick', { name: called })}
              onClick={() => set(index, { untimed: !untimed })}
            >
              {say.t(untimed ? 'screen.bench.noClick' : 'screen.bench.withClick')}
            </button>
            <TakeAway what={called} onClick={() => drop(index)} />
          </li>
        );
      })}
      <li>
        <AddPart recipe={recipe} onChange={onChange} onOpen={onOpen} />
      </li>
    </ol>
  );
}

function nameFrom(text: string, mayBeEmpty: boolean): string | undefined {
  const name = text.trim().slice(0, LONGEST_NAME);
  return name === '' && !mayBeEmpty ? undefined : name;
}

function Bars({
  label,
  bars,
  untimed,
  onChoose,
}: {
  label: string;
  bars: number | null;
  untimed: boolean;
  onChoose: (bars: number | null) => void;
}) {
  const { say } = useSpeech();
  const whole = say.t(untimed ? 'screen.bench.onceItsOwnLength' : 'screen.bench.itsWholeCycle');
  return (
    <Choice
      label={label}
      options={[
        { value: '', text: whole },
        ...BARS.map((count) => ({
          value: String(count),
          text: say.t('screen.common.barCount', { bars: count }),
        })),
      ]}
      value={bars === null ? '' : String(bars)}
      onChoose={(value) => onChoose(value === '' ? null : Number(value))}
      onType={(text) => {
        const count = Number(text);
        return Number.isInteger(count) && count >= 1 && count <= 64
          ? ok(text)
          : fail({ code: 'bars', path: ['then'], text });
      }}
    >
      {bars === null ? whole : say.t('screen.common.barCount', { bars })}
    </Choice>
  );
}

/** Puts a part behind those that there are: an empty one, this one again, or an exercise that is kept. */
export function AddPart({
  recipe,
  onChange,
  onOpen,
}: {
  recipe: ClosedRecipe;
  onChange: (recipe: ClosedRecipe) => void;
  onOpen: (part: number) => void;
}) {
  const { say } = useSpeech();
  const { exercises, load } = useShelf();
  const options: readonly Option<string>[] = [
    { value: NEW, text: say.t('screen.bench.aNewPart') },
    {
      value: ITSELF,
      text: say.t('screen.bench.thisOneAsItIsNow'),
      hint: say.t('screen.bench.aAndB'),
    },
    ...exercises.map(({ id, name }) => ({ value: id, text: name })),
  ];

  /** What is typed as the name of a new part, unless something is called so already. */
  function called(text: string): readonly Option<string>[] {
    const name = nameFrom(text, false);
    const begun = text.trim().toLowerCase();
    const known = options.some((one) => one.text.toLowerCase().startsWith(begun));
    if (name === undefined || known) return [];
    return [
      { value: CALLED.timed + name, text: say.t('screen.bench.aNewPartCalled', { name }) },
      {
        value: CALLED.untimed + name,
        text: say.t('screen.bench.aNewPartCalled', { name }),
        hint: say.t('screen.bench.noClick'),
      },
    ];
  }

  function put(name: string, { then: _, ...own }: ClosedRecipe, untimed = false) {
    const parts: Parts = partsOf(recipe);
    const part = { name, bars: null, untimed, recipe: { ...own, feel: recipe.feel } };
    onChange(withParts([...parts, part]));
    onOpen(parts.length);
  }

  async function add(value: string) {
    const { meter, feel, kit } = recipe;
    const number = partsOf(recipe).length + 1;
    const usual = say.t('screen.bench.partNumber', { number });
    const empty = { ...blankRecipe(), meter, feel, kit };
    if (value === NEW) return put(usual, empty);
    if (value === ITSELF) return put(suggestName(say, recipe) || usual, recipe);
    for (const [kind, mark] of Object.entries(CALLED)) {
      if (value.startsWith(mark)) return put(value.slice(mark.length), empty, kind === 'untimed');
    }
    const loaded = await load(value);
    if (!loaded) {
      toast.error(say.t('screen.bench.notAddedNoConnectionChooseIt'));
      return;
    }
    put(exercises.find((one) => one.id === value)?.name ?? usual, loaded);
    // One sequence has one feel.
    if (sayFeel(say, loaded.feel) !== sayFeel(say, feel)) toast.message(sayBesides(say, { feel }));
  }

  return (
    <Choice
      label={say.t('screen.bench.partsCapital')}
      options={options}
      offer={called}
      placeholder={say.t('screen.bench.aNameForANewPartOr')}
      wide
      className="phrase-add"
      onChoose={(value) => void add(value)}
    >
      {say.t('screen.bench.addPart')}
    </Choice>
  );
}
