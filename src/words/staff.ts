import { spokenLimbs, spokenComposite } from '@/core/analysis';
import { countMark } from '@/core/time';
import { LIMBS, type Limb } from '@/core/kit';
import type { Exercise } from '@/core/recipe';
import { sayLimb, sayLimbs } from './kit';
import type { Say } from './say';

type Stroke = Exercise['strokes'][number];

/** Bars of a staff in words: what each limb plays, counted, with accents, ghosts and ornaments. With the first bar,
 * what the limbs that are said as one play.
 * @param bars from 0
 * @example 'Bar 1: right hand 1 2 3 4 (accent on 2); right foot 1 3.' */
export function sayStaff(say: Say, exercise: Exercise, bars: readonly number[]): string {
  const counted = bars.map((bar) => sayBar(say, exercise, bar));
  const limbs = bars.includes(0) ? spokenLimbs(exercise) : null;
  if (!limbs) return counted.join(' ');
  const said = spokenComposite(exercise, limbs);
  const asOne = say.t('readback.staff.asOne', { limbs: sayLimbs(say, limbs), said });
  return [...counted, asOne].join(' ');
}

function sayBar(say: Say, { strokes, barTicks, meter }: Exercise, bar: number): string {
  const from = bar * barTicks;
  const inBar = strokes.filter(({ at }) => at >= from && at < from + barTicks);
  const countOf = ({ at }: Stroke) => countMark(at - from, meter, say.syllables).text;
  const limbs = LIMBS.flatMap((limb: Limb): readonly string[] => {
    const mine = inBar.filter((stroke) => stroke.limb === limb);
    if (mine.length === 0) return [];
    const count = [...new Map(mine.map((one) => [one.at, countOf(one)])).values()].join(' ');
    const marks = mine.flatMap((stroke) => marksOf(say, stroke, countOf(stroke))).join(', ');
    const said = { limb: sayLimb(say, limb), count };
    return [
      marks === ''
        ? say.t('readback.staff.counts', said)
        : say.t('readback.staff.marked', { ...said, marks }),
    ];
  });
  const counts = limbs.length === 0 ? say.t('readback.staff.rests') : limbs.join('; ');
  return say.t('readback.staff.bar', { bar: bar + 1, counts });
}

function marksOf({ t }: Say, { dynamic, ornament }: Stroke, at: string): readonly string[] {
  const loud =
    dynamic === 'accent' || dynamic === 'ghost'
      ? [t(`readback.staff.mark.${dynamic}`, { at })]
      : [];
  return ornament ? [...loud, t(`readback.staff.ornament.${ornament}`, { at })] : loud;
}
