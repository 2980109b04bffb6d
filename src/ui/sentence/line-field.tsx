'use client';

import { useId, useRef, useState, type KeyboardEvent } from 'react';
import type { Issue } from '@/core/issue';
import type { Material } from '@/core/materials';
import { roundOf, type ClosedRecipe, type PlayContent } from '@/core/recipe';
import { barNumbers, barsOfText, partOfPage } from '@/core/reading';
import { compositeReadings, looksSticking, typedSticking, type Sticking } from '@/core/sticking';
import { parseMeter } from '@/core/time';
import { type Say, sayAgainst, sayMaterial, saySubdivision } from '@/words';
import { Button, rankOption, Trouble, useSpeech, useUndo } from '../base';
import { LineNotation, LineStart, readLine } from '../marks';
import { useMaterials, VersionNote } from '../library';
import { LinePage, type PagePart } from './line-page';
import { ShorthandHelp } from './shorthand-help';

type Play = ClosedRecipe['play'];

interface Offer {
  readonly key: string;
  readonly name: string;
  readonly text: string;
  readonly play: NonNullable<Play>;
}

/** Lines of so many bars are opened as a page. */
const BARS_OF_A_PAGE = 5;

/** The reading line, typed in the sentence itself; shipped lines complete what is typed. */
export function LineField({
  play,
  autoFocus,
  meter,
  issues,
  onChange,
  onSettle,
}: {
  play: Play;
  autoFocus: boolean;
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
  const isLine = !play || 'text' in play.content;
  const [page, setPage] = useState(isLine && barsOfText(text).length >= BARS_OF_A_PAGE);
  // While somebody types, what was chosen for the letters is kept over what is no sticking yet.
  const sticking = play && 'sticking' in play.content ? play.content : null;
  const [kept, setKept] = useState(sticking);
  if (sticking && sticking !== kept) setKept(sticking);
  const [whole, setWhole] = useState<{ readonly text: string; readonly part: PagePart } | null>(
    null,
  );
  const undoable = useUndo();
  const partOf = ({ text: of, part: { from, count } }: NonNullable<typeof whole>) =>
    partOfPage(barsOfText(of), from, count);
  const part = whole && partOf(whole).text === text ? whole : null;
  const round = roundOf({ play, meter });
  const offersNow = () => offersFor(text, meter, lines, stickings, say);
  const offers = open ? offersNow() : [];

  function choose(offer: Offer) {
    onChange(offer.play);
    onSettle();
    setOpen(false);
    setActive(null);
  }

  function playLine(next: string) {
    onChange(next === '' ? null : { content: { text: next } });
  }

  /** Plays a part of the page that is shown, or all of it again. */
  function take(next: PagePart | null) {
    const page = part?.text ?? text;
    const taken = next && { text: page, part: next };
    setWhole(taken);
    if (!taken) playLine(page);
    else {
      const { text: alone, cut } = partOf(taken);
      playLine(alone);
      if (cut) undoable(say.t('screen.bench.tiesOverTheEdgeAreGone'), () => take(null));
    }
    onSettle();
  }

  function editPage(next: string) {
    const kept = part && { ...part, text: next };
    setWhole(kept);
    playLine(kept ? partOf(kept).text : next);
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

  const asPage = isLine && (
    <Button
      look="quiet"
      className="px-1.5 text-sm"
      aria-pressed={page}
      onClick={() => setPage(!page)}
    >
      {say.t('screen.bench.page')}
    </Button>
  );
  if (page && isLine) {
    return (
      <div className="min-w-0 flex-1">
        <LinePage
          text={part?.text ?? text}
          meter={meter}
          issues={part ? movedOn(issues, part) : issues}
          taken={part?.part ?? null}
          onTake={take}
          onChange={editPage}
          onSettle={onSettle}
        />
        <div className="flex items-center gap-1">
          {play?.content.name && <span className="text-soft">{sayMaterial(say, play)}</span>}
          {part ? (
            <Button look="quiet" className="px-1.5 text-sm" onClick={() => take(null)}>
              {say.t('screen.bench.wholePage')}
            </Button>
          ) : (
            asPage
          )}
          <ShorthandHelp />
        </div>
        <Trouble issues={issues.filter((issue) => !('bar' in issue))} />
      </div>
    );
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
          autoFocus={autoFocus}
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
        {asPage}
        <ShorthandHelp />
      </div>
      {isLine && <Written text={text} meter={meter} say={say} />}
      {offers.length > 0 && (
        <ul
          id={`${id}-list`}
          role="listbox"
          aria-label={say.t('screen.common.lines')}
          className="pop absolute top-full left-0 z-20 max-h-80 w-[30rem] overflow-y-auto p-1"
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
              <Offered offer={offer} meter={meter} />
              <span className="ml-auto text-sm whitespace-nowrap text-soft">{offer.name}</span>
            </li>
          ))}
        </ul>
      )}
      <Trouble id={`${id}-trouble`} issues={issues} />
    </div>
  );
}

/** Issues of a part, by the bars of its page. */
function movedOn(
  issues: readonly Issue[],
  { text, part: { from } }: { readonly text: string; readonly part: PagePart },
): readonly Issue[] {
  const before = (barNumbers(barsOfText(text))[from]?.from ?? 1) - 1;
  return issues.map((issue) =>
    'bar' in issue && typeof issue.bar === 'number' ? { ...issue, bar: issue.bar + before } : issue,
  );
}

/** The line as a reader knows it; nothing while it cannot be read. */
function Written({ text, meter, say }: { text: string; meter: string; say: Say }) {
  const line = readLine(text, meter);
  return line && <LineNotation line={line} say={say} className="mt-0.5 gap-y-1" />;
}

function Offered({ offer, meter }: { offer: Offer; meter: string }) {
  if (!('text' in offer.play.content)) return <span>{offer.text}</span>;
  return <LineStart text={offer.text} meter={meter} />;
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
