import { must } from '@/core/issue';
import { dosageNow, rungAt } from '@/core/ladder';
import { asPlayed, expand, type Exercise } from '@/core/recipe';
import { itemKey, type StandItem } from '@/core/studio';
import { parseMeter, tempoFor } from '@/core/time';
import {
  type Say,
  sayDosage,
  sayEntryKind,
  sayFitted,
  sayMinutes,
  sayRung,
  sayWhyToStudent,
} from '@/words';
import { BarPicture, SentenceText } from '../marks';
import { rowsOf } from '../plan';
import { TempoGlyph } from '../play';
import { Link } from '../base';
import { HearIt, Hearing } from './hearing';
import { standOf, type Now } from './stand-of';

type Row = ReturnType<typeof rowsOf>[number] & { readonly item: StandItem };

/** What is planned, one exercise after the other: a bar of it to look at and to hear, at which tempo, how much, and why. */
export function Rows({ say, rows, now }: { say: Say; now: Now | null; rows: readonly Row[] }) {
  return (
    <Hearing>
      <ol className="border-t border-line">
        {rows.map((row, index) => (
          <li
            key={`${itemKey(row.item)} ${row.kind} ${row.on}`}
            className="relative border-b border-line hover:bg-sheet"
          >
            <PlannedRow say={say} row={row} number={index + 1} now={now} />
          </li>
        ))}
      </ol>
    </Hearing>
  );
}

function PlannedRow({
  say,
  row: { item, kind, tries, seconds, on },
  number,
  now,
}: {
  say: Say;
  row: Row;
  number: number;
  now: Now | null;
}) {
  const { name } = item.item;
  const exercise = expand(item.plays);
  return (
    <div className="grid grid-cols-[1.5rem_minmax(0,1fr)_auto] gap-x-3 px-1 py-4 sm:grid-cols-[2rem_minmax(0,1fr)_auto]">
      <span className="font-serif text-2xl text-soft">{number}</span>
      <div>
        <h2 className="font-serif text-2xl leading-7">
          {/* All of the row leads to the Stand, but for what lies on it. */}
          <Link href={standOf(now, item)} className="after:absolute after:inset-0">
            {name}
          </Link>
          {kind !== 'new' && (
            <span className="text-lg text-soft"> · {sayEntryKind(say, kind)}</span>
          )}
          {on === 'pad' && (
            <span className="text-lg text-soft"> · {say.t('screen.today.onThePad')}</span>
          )}
          {item.item.kind === 'own' && (
            <span className="text-lg text-soft"> · {say.t('screen.today.makeYourOwn')}</span>
          )}
        </h2>
        <p className="mt-1">
          {sayWhyToStudent(say, item.why)}
          {item.today.tries > 0 && (
            <span className="text-soft">
              {' '}
              {say.t('screen.today.soFar', {
                tries: item.today.tries,
                minutes: item.today.seconds < 60 ? 0 : Math.round(item.today.seconds / 60),
                seconds: Math.round(item.today.seconds),
              })}
            </span>
          )}
        </p>
      </div>
      <p className="text-right">
        <span className="block font-serif text-4xl whitespace-nowrap">
          <TempoGlyph tempo={tempoOf(item)} size={26} /> {item.state.bpm}
        </span>
        <span className="block text-soft">
          {rungText(say, item)}
          {say.t('screen.today.times', {
            tries,
            dosage: sayDosage(say, dosageNow(item.state, item.item.course.dosage)),
          })}
        </span>
        <span className="block text-sm text-soft">
          {say.t('screen.today.inAll', { minutes: sayMinutes(say, seconds) })}
        </span>
      </p>
      <div className="col-span-3 mt-3 sm:col-span-2 sm:col-start-2">
        {exercise.ok && <Picture say={say} item={item} exercise={exercise.value} />}
        <div className="mt-2 flex flex-wrap items-start gap-x-4 gap-y-1">
          {exercise.ok && (
            <span className="relative">
              <HearIt name={name} id={itemKey(item)} recipe={item.plays} bpm={item.state.bpm} />
            </span>
          )}
          <details className="relative min-w-0 flex-1 text-sm text-soft">
            <summary className="cursor-pointer py-2.5">{say.t('screen.today.howItIsMade')}</summary>
            <p>
              <SentenceText
                say={say}
                recipe={asPlayed(item.plays)}
                also={exercise.ok ? sayFitted(say, exercise.value) : []}
              />
            </p>
          </details>
        </div>
      </div>
    </div>
  );
}

/** The bar in which it breaks of late, or the first. */
function Picture({ say, item, exercise }: { say: Say; item: StandItem; exercise: Exercise }) {
  const broke = item.cues.find((cue) => cue.kind === 'broke');
  const bar = broke?.kind === 'broke' ? Math.floor(broke.at / exercise.barTicks) : 0;
  return (
    <>
      <BarPicture
        say={say}
        exercise={exercise}
        bar={bar}
        label={say.t('screen.today.barOf', {
          bar: bar + 1,
          bars: exercise.bars,
          name: item.item.name,
        })}
      />
      {exercise.bars > 1 && (
        <p className="text-sm text-soft" aria-hidden>
          {say.t('screen.today.barOfBars', { bar: bar + 1, bars: exercise.bars })}
        </p>
      )}
    </>
  );
}

/** The rung, where it is more than a tempo. */
function rungText(say: Say, { state }: StandItem): string {
  const { asks } = rungAt(state.rungs, state.rung);
  return asks.kind === 'tempo' ? '' : `${sayRung(say, asks)} · `;
}

function tempoOf({ plays, state }: StandItem) {
  return tempoFor(must(parseMeter(plays.meter)), state.bpm);
}
