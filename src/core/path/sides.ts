import type { Limb, VoiceId } from '../kit';
import type { Change, ClosedRecipe, Exercise } from '../recipe';
import { beats, slotTicks } from '../time';
import { changed, limbsOf, type Side, type StepContent } from './step';

const SIDE_OF: Readonly<Record<Limb, Side>> = { RH: 'right', RF: 'right', LH: 'left', LF: 'left' };

/** The side that keeps going, then a plain pulse of the other over it, then what that limb plays, then its
 * second limb too. The side that plays the line comes second; without a line, the right. */
export function sideStages(recipe: ClosedRecipe, whole: Exercise): readonly StepContent[] {
  const limbs = limbsOf(whole);
  const lineSides = whole.strokes.flatMap(({ from, limb }) =>
    from.source === 'line' ? [SIDE_OF[limb]] : [],
  );
  const second: Side =
    lineSides.every((one) => one === 'left') && lineSides.length > 0 ? 'left' : 'right';
  const sideOf = (side: Side) => limbs.filter(({ plays }) => SIDE_OF[plays] === side);
  const first: Side = second === 'left' ? 'right' : 'left';
  const [keeps, over] = [sideOf(first), sideOf(second)];
  const [lead] = over;
  if (keeps.length === 0 || !lead) return [];
  const only = (all: typeof limbs) =>
    ({ kind: 'only', limbs: all.map(({ written }) => written) }) as const;
  const alone = changed(recipe, only(keeps), {
    ...{ plays: 'side', side: first, with: 'nothing', limb: null },
  });
  const pulse = pulsePlaced(recipe, whole, lead);
  return [
    alone,
    ...(pulse
      ? [
          changed(alone.recipe, pulse, {
            ...{ plays: 'side', side: first, with: 'pulse', limb: lead.plays },
          }),
        ]
      : []),
    changed(recipe, only([...keeps, lead]), {
      ...{ plays: 'side', side: first, with: 'written', limb: lead.plays },
    }),
  ];
}

/** A note of a limb on every beat, where all beats are as long; on the voice that it plays most. */
function pulsePlaced(
  recipe: ClosedRecipe,
  whole: Exercise,
  { written, plays }: { readonly written: Limb; readonly plays: Limb },
): Change | null {
  const counted = new Map<VoiceId, number>();
  for (const stroke of whole.strokes) {
    if (stroke.limb !== plays) continue;
    const voice = stroke.written?.voice ?? stroke.voice;
    counted.set(voice, (counted.get(voice) ?? 0) + 1);
  }
  const [voice] = [...counted].sort((a, b) => b[1] - a[1])[0] ?? [];
  const all = beats(whole.meter);
  const [beat] = all;
  if (voice === undefined || !beat || all.some(({ ticks }) => ticks !== beat.ticks)) return null;
  const slots = beat.ticks / slotTicks('8');
  if (!Number.isInteger(slots)) return null;
  const grid = `x${'-'.repeat(slots - 1)}`.repeat(all.length);
  return { kind: 'place', to: { limb: written, voice }, slot: '8', grid };
}
