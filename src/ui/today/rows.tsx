import { must } from '@/core/issue';
import { dosageNow, rungAt } from '@/core/ladder';
import { asPlayed } from '@/core/recipe';
import { itemKey, type StandItem } from '@/core/studio';
import { parseMeter, tempoFor } from '@/core/time';
import { type Say, sayDosage, sayEntryKind, sayMinutes, sayRung, sayWhyToStudent } from '@/words';
import { SentenceText } from '../marks';
import { rowsOf } from '../plan';
import { TempoGlyph } from '../play';
import { Link } from '../base';
import { standOf, type Now } from './stand-of';

/** What is planned, one exercise after the other. */
export function Rows({
  say,
  rows,
  now,
}: {
  say: Say;
  now: Now | null;
  rows: readonly (ReturnType<typeof rowsOf>[number] & { readonly item: StandItem })[];
}) {
  return (
    <ol className="border-t border-line">
      {rows.map(({ item, kind, tries, seconds, on }, index) => (
        <li key={`${itemKey(item)} ${kind} ${on}`} className="border-b border-line">
          <Link
            href={standOf(now, item)}
            className="grid grid-cols-[2rem_minmax(0,1fr)_auto] gap-x-4 px-1 py-4 hover:bg-sheet"
          >
            <span className="font-serif text-2xl text-soft">{index + 1}</span>
            <span>
              <span className="block font-serif text-2xl leading-7">
                {item.item.name}
                {kind !== 'new' && (
                  <span className="text-lg text-soft"> · {sayEntryKind(say, kind)}</span>
                )}
                {on === 'pad' && (
                  <span className="text-lg text-soft"> · {say.t('screen.today.onThePad')}</span>
                )}
                {item.item.kind === 'own' && (
                  <span className="text-lg text-soft"> · {say.t('screen.today.makeYourOwn')}</span>
                )}
              </span>
              <span className="block text-sm text-soft">
                <SentenceText say={say} recipe={asPlayed(item.plays)} />
              </span>
              <span className="mt-1 block">
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
              </span>
            </span>
            <span className="text-right">
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
            </span>
          </Link>
        </li>
      ))}
    </ol>
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
