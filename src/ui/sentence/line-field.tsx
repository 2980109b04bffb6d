'use client';

import { CircleHelp } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useId, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import type { Issue } from '@/core/issue';
import type { Material } from '@/core/materials';
import { roundOf, type ClosedRecipe, type PlayContent } from '@/core/recipe';
import { compositeReadings, looksSticking, typedSticking, type Sticking } from '@/core/sticking';
import { parseMeter } from '@/core/time';
import { type Say, sayAgainst, sayList, sayMaterial, sayNote, saySubdivision } from '@/words';
import { Pop, rankOption, Trouble, useSpeech } from '../base';
import { useMaterials, VersionNote } from '../library';

type Play = ClosedRecipe['play'];

interface Offer {
  readonly key: string;
  readonly name: string;
  readonly text: string;
  readonly play: NonNullable<Play>;
}

/** What can be typed, and what it means. */
const EXAMPLES = [
  ['4  8  16', 'lengths'],
  ['4.', 'dotted'],
  ['8r', 'rest'],
  ['4~8', 'tied'],
  ['3(8 8 8)', 'triplet'],
  ['|', 'barLine'],
  ['x4', 'again'],
  ['RLLK RL', 'sticking'],
  ['fR dR uR UR >R', 'graces'],
  ['iR oR zR', 'rolls'],
  ['8t: RLL', 'grid'],
  ['4: 8: 16: 32: 4t: 16t:', 'grids'],
  ['3: 5: 6: 7: 9: 12:', 'toTheBeat'],
] as const;

/** The reading line, typed in the sentence itself; shipped lines complete what is typed. */
export function LineField({
  play,
  meter,
  issues,
  onChange,
  onSettle,
}: {
  play: Play;
  meter: string;
  issues: readonly Issue[];
  onChange: (play: Play) => void;
  onSettle: () => void;
}) {
  const id = useId();
  const input = useRef<HTMLInputElement>(null);
  const [active, setActive] = useState<number | null>(null);
  const [open, setOpen] = useState(false);
  const { say } = useSpeech();
  const lines = useMaterials('line');
  const stickings = useMaterials('sticking');
  const text = play ? textOf(play.content) : '';
  // While somebody types, what was chosen for the letters is kept over what is no sticking yet.
  const sticking = play && 'sticking' in play.content ? play.content : null;
  const [kept, setKept] = useState(sticking);
  if (sticking && sticking !== kept) setKept(sticking);
  const round = roundOf({ play, meter });
  const offersNow = () => offersFor(text, meter, lines, stickings, say);
  const offers = open ? offersNow() : [];

  function choose(offer: Offer) {
    onChange(offer.play);
    onSettle();
    setOpen(false);
    setActive(null);
  }

  function onKeyDown(event: KeyboardEvent) {
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      event.preventDefault();
      setOpen(true);
      const step = event.key === 'ArrowDown' ? 1 : -1;
      const count = offersNow().length;
      if (count > 0) setActive((now) => ((now ?? (step > 0 ? -1 : 0)) + step + count) % count);
    } else if (event.key === 'Enter' && active !== null) {
      const offer = offers[active];
      if (offer) choose(offer);
    } else if (event.key === 'Enter' || event.key === 'Escape') {
      setOpen(false);
      setActive(null);
    }
  }

  return (
    <div className="relative min-w-0 flex-1">
      <div className="flex items-center gap-1">
        <input
          ref={input}
          role="combobox"
          aria-label={say.t('screen.bench.readingLine')}
          aria-expanded={offers.length > 0}
          aria-controls={`${id}-list`}
          aria-activedescendant={active === null ? undefined : `${id}-${active}`}
          aria-invalid={issues.length > 0}
          aria-describedby={issues.length > 0 ? `${id}-trouble` : undefined}
          autoComplete="off"
          spellCheck={false}
          maxLength={2000}
          placeholder={say.t('screen.bench.typeALineSuchAs4')}
          className="phrase-field w-full"
          value={text}
          onChange={(event) => {
            const next = event.target.value;
            onChange(next === '' ? null : { content: readPlay(next, kept) });
            setOpen(true);
            setActive(null);
          }}
          onKeyDown={onKeyDown}
          onClick={() => setOpen(true)}
          onBlur={() => {
            setOpen(false);
            setActive(null);
            setKept(sticking);
            onSettle();
          }}
        />
        {round !== null && (
          <span className="shrink-0 text-sm text-soft" data-testid="round">
            {say.t('screen.bench.roundAfterBars', { round })}
          </span>
        )}
        {play?.content.name && <span className="shrink-0 text-soft">{sayMaterial(say, play)}</span>}
        {play && (
          <VersionNote
            of={play}
            kind={'sticking' in play.content ? 'sticking' : 'line'}
            onUpdate={({ id: own, version, content }) =>
              onChange({ id: own, version, content: { ...content } })
            }
          />
        )}
        <ShorthandHelp />
      </div>
      {offers.length > 0 && (
        <ul
          id={`${id}-list`}
          role="listbox"
          aria-label={say.t('screen.common.lines')}
          className="pop absolute top-full left-0 z-20 max-h-64 w-96 overflow-y-auto p-1"
        >
          {offers.map((offer, index) => (
            <li
              key={offer.key}
              id={`${id}-${index}`}
              role="option"
              aria-selected={index === active}
              className="flex gap-3 rounded-sm px-2 py-1 hover:bg-faint aria-selected:bg-warm-wash"
              onMouseDown={(event) => {
                event.preventDefault();
                choose(offer);
              }}
            >
              <span>{offer.text}</span>
              <span className="ml-auto text-sm whitespace-nowrap text-soft">{offer.name}</span>
            </li>
          ))}
        </ul>
      )}
      <Trouble id={`${id}-trouble`} issues={issues} />
    </div>
  );
}

function textOf(content: PlayContent): string {
  return 'sticking' in content ? content.sticking : content.text;
}

/** What typed text is: limb letters are a sticking, all else a line. A sticking keeps how it is
 * played while it is typed. */
/** @param kept the sticking that is typed anew */
function readPlay(text: string, kept: Sticking | null): PlayContent {
  if (!looksSticking(text)) return { text };
  return kept ? { ...kept, name: undefined, sticking: text } : typedSticking(text);
}

const MOST_OFFERS = 60;

/** Lines of this meter and stickings that begin with what is typed, or are called so; and rhythms
 * of two hands that read as the letters do. */
function offersFor(
  text: string,
  meter: string,
  lines: readonly Material<'line'>[],
  stickings: readonly Material<'sticking'>[],
  say: Say,
): readonly Offer[] {
  const typed = text.trim().toLowerCase();
  const rank = (one: string, name: string) =>
    one === text.trim()
      ? 0
      : one.toLowerCase().startsWith(typed)
        ? 1
        : rankOption('', typed, [name]);
  const known = [
    ...lines
      .filter((one) => one.meter !== null && meter.startsWith(one.meter))
      .map(({ id, version, name, content }) => ({
        name,
        offer: {
          key: id,
          name: sayMaterial(say, { id, content }),
          text: content.text,
          play: { id, version, content: { ...content } },
        },
      })),
    ...stickings.map(({ id, version, name, content }) => ({
      name,
      offer: {
        key: id,
        name: sayMaterial(say, { id, content }),
        text: content.sticking,
        play: { id, version, content: { ...content } },
      },
    })),
  ]
    .map(({ name, offer }) => ({
      offer,
      rank: Math.max(rank(offer.text, offer.name), rank(offer.text, name)),
    }))
    .filter((one) => one.rank > 0)
    .sort((a, b) => b.rank - a.rank);
  return [...compositeOffers(text, meter, say), ...known.map((one) => one.offer)].slice(
    0,
    MOST_OFFERS,
  );
}

function compositeOffers(text: string, meterText: string, say: Say): readonly Offer[] {
  const meter = parseMeter(meterText);
  const letters = text.toUpperCase().replace(/\s/g, '');
  if (!meter.ok) return [];
  return compositeReadings(letters, meter.value).map(({ sticking, slot, right, left }) => ({
    key: `${sticking} ${slot}`,
    name: sayAgainst(say, { right, left }),
    text: say.t('screen.bench.stickingInGrid', { sticking, grid: saySubdivision(say, slot) }),
    play: { content: { ...typedSticking(sticking), slot } },
  }));
}

function Example({ sign, children }: { sign: string; children: ReactNode }) {
  return (
    <tr>
      <th scope="row" className="pr-4 text-left font-semibold whitespace-pre">
        {sign}
      </th>
      <td className="text-soft">{children}</td>
    </tr>
  );
}

function ShorthandHelp() {
  const { say } = useSpeech();
  const names = {
    quarter: sayNote(say, '4'),
    eighth: sayNote(say, '8'),
    sixteenth: sayNote(say, '16'),
    triplets: say.t(`notes.${say.notes}.eighthTriplets`),
    grids: sayList(
      say,
      (['4', '8', '16', '32', '4t', '16t'] as const).map((id) => saySubdivision(say, id)),
    ),
  };
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={say.t('screen.bench.howToTypeALine')}
        className="inline-flex size-6 shrink-0 items-center justify-center text-soft hover:text-ink"
      >
        <CircleHelp size={16} aria-hidden />
      </Popover.Trigger>
      <Pop align="end" className="p-3">
        <table className="text-sm">
          <tbody>
            {EXAMPLES.map(([sign, meaning]) => (
              <Example key={sign} sign={sign}>
                {say.t(`screen.bench.type.${meaning}`, { ...names })}
              </Example>
            ))}
            <Example sign={say.t('screen.bench.type.spelledLine', { ...names })}>
              {say.t('screen.bench.type.spelled')}
            </Example>
          </tbody>
        </table>
      </Pop>
    </Popover.Root>
  );
}
