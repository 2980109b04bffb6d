'use client';

import { fail, ok } from '@/core/issue';
import { type ClosedMember, type ClosedRecipe } from '@/core/recipe';
import { suggestName } from '@/words';
import { Choice, type Option, toast, useSpeech } from '../base';
import { useShelf } from '../library';
import { TakeAway } from './phrase-parts';

type Then = NonNullable<ClosedRecipe['then']>;
type OnChange = (recipe: ClosedRecipe) => void;

/** Marks the exercise itself among those that can follow. */
const ITSELF = 'itself';

const BARS = [1, 2, 3, 4, 8, 16];

/** What follows, back to back: groove and phrase, A and B, a run. */
export function ThenPhrase({
  recipe,
  then,
  onChange,
}: {
  recipe: ClosedRecipe;
  then: Then;
  onChange: OnChange;
}) {
  const { say } = useSpeech();
  const setMembers = (members: Then['members']) =>
    onChange({ ...recipe, then: members.length > 0 ? { ...then, members } : undefined });
  return say.t.rich('screen.bench.thenSentence', {
    bars: () => (
      <Bars
        label={say.t('screen.bench.barsOfThis')}
        bars={then.bars}
        onChoose={(bars) => onChange({ ...recipe, then: { ...then, bars } })}
      />
    ),
    members: () =>
      then.members.map((member, index) => (
        <span key={index}>
          {index > 0 && <span className="text-soft">{say.t('screen.bench.then')} </span>}
          <span className="font-semibold">{member.name}</span>{' '}
          <Bars
            label={say.t('screen.bench.barsOf', { member: member.name })}
            bars={member.bars}
            onChoose={(bars) =>
              setMembers(then.members.map((one, at) => (at === index ? { ...one, bars } : one)))
            }
          />
          <TakeAway
            what={member.name}
            onClick={() => setMembers(then.members.filter((_, at) => at !== index))}
          />{' '}
        </span>
      )),
    more: () => <AddMember recipe={recipe} onChange={onChange} />,
  });
}

function Bars({
  label,
  bars,
  onChoose,
}: {
  label: string;
  bars: number | null;
  onChoose: (bars: number | null) => void;
}) {
  const { say } = useSpeech();
  return (
    <Choice
      label={label}
      options={[
        { value: '', text: say.t('screen.bench.itsWholeCycle') },
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
      {bars === null
        ? say.t('screen.bench.itsWholeCycle')
        : say.t('screen.common.barCount', { bars })}
    </Choice>
  );
}

/** Puts another exercise behind this one, or this one again. */
export function AddMember({ recipe, onChange }: { recipe: ClosedRecipe; onChange: OnChange }) {
  const { say } = useSpeech();
  const { exercises, load } = useShelf();
  const options: readonly Option<string>[] = [
    {
      value: ITSELF,
      text: say.t('screen.bench.thisOneAsItIsNow'),
      hint: say.t('screen.bench.aAndB'),
    },
    ...exercises.map(({ id, name }) => ({ value: id, text: name })),
  ];
  async function add(value: string) {
    const { then, ...own } = recipe;
    const known = exercises.find((one) => one.id === value);
    const loaded = value === ITSELF ? own : await load(value);
    if (!loaded) {
      toast.error(say.t('screen.bench.notAddedNoConnectionChooseIt'));
      return;
    }
    const { then: _, ...member } = loaded as ClosedRecipe;
    const name = known?.name ?? (suggestName(say, own) || say.t('screen.common.asItWas'));
    const next = { name, bars: null, recipe: { ...member, feel: recipe.feel } as ClosedMember };
    onChange({
      ...recipe,
      then: { bars: then?.bars ?? null, members: [...(then?.members ?? []), next] },
    });
  }
  return (
    <Choice
      label={say.t('screen.bench.thenCapital')}
      options={options}
      wide
      className="phrase-add"
      onChoose={(value) => void add(value)}
    >
      {say.t('screen.bench.addThen')}
    </Choice>
  );
}
