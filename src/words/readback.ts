import {
  ALL_LOUD,
  ORNAMENT_POINTS,
  OTHER_BAR,
  READING,
  type DifficultyFacts,
  type Hindrance,
  type LimbDynamics,
  type OffBeatShare,
} from '@/core/analysis';
import type { RunSeam } from '@/core/family';
import { unreachable } from '@/core/issue';
import { letterOf, mirrorLimb, type VoiceId } from '@/core/kit';
import type { Exercise } from '@/core/recipe';
import { formatMeter } from '@/core/time';
import { sayLimb, sayVoice } from './kit';
import { sayPlace } from './place';
import { sayList, type Say } from './say';

/** A hindrance in words: where, why, and how to mend it. */
export interface SaidHindrance {
  readonly where: string;
  readonly reason: string;
  readonly mend: string;
}

export function sayHindrance(
  say: Say,
  hindrance: Hindrance,
  exercise: Pick<Exercise, 'barTicks' | 'meter'>,
): SaidHindrance {
  const { t, notes } = say;
  const { at, rule } = hindrance;
  const meter = formatMeter(exercise.meter);
  const bar = Math.floor(at / exercise.barTicks) + 1;
  const where = t('readback.place', { bar, at: sayPlace(say, at, meter) });
  const eighths = t(`notes.${notes}.eighths`);
  const mend =
    rule === 'swung-apart' ? t(`readback.mend.${rule}`, { eighths }) : t(`readback.mend.${rule}`);
  return { where, reason: sayReason(say, hindrance, meter), mend };
}

function sayReason(say: Say, hindrance: Hindrance, meter: string): string {
  const { t, notes } = say;
  switch (hindrance.rule) {
    case 'hat-before-foot':
      return t('readback.hindrance.hat-before-foot', {
        gap: Math.round(hindrance.gapMs),
        chick: sayPlace(say, hindrance.chickAt, meter),
        seam: hindrance.acrossSeam ? 'yes' : 'no',
      });
    case 'limb-twice': {
      const voices = sayTogether(say, hindrance.voices);
      return t('readback.hindrance.limb-twice', { limb: sayLimb(say, hindrance.limb), voices });
    }
    case 'foot-to-foot':
      return t('readback.hindrance.foot-to-foot', { gap: Math.round(hindrance.gapMs) });
    case 'open-hat-closed':
    case 'accent-on-rest':
      return t(`readback.hindrance.${hindrance.rule}`);
    case 'ghost-after-accent': {
      const gap = Math.round(hindrance.gapMs);
      return t('readback.hindrance.ghost-after-accent', {
        limb: sayLimb(say, hindrance.limb),
        gap,
      });
    }
    case 'fast-run':
      return t('readback.hindrance.fast-run', {
        limb: sayLimb(say, hindrance.limb),
        strokes: hindrance.strokes,
        gap: Math.round(hindrance.gapMs),
      });
    case 'voice-missing':
      return t('readback.hindrance.voice-missing', { voice: sayVoice(say, hindrance.voice) });
    case 'anchor-lost':
      return t('readback.hindrance.anchor-lost', {
        limb: sayLimb(say, hindrance.limb),
        voice: sayVoice(say, hindrance.voice),
        places: hindrance.places,
      });
    case 'swung-apart':
      return t('readback.hindrance.swung-apart', {
        eighths: t(`notes.${notes}.eighths`),
        sixteenths: t(`notes.${notes}.sixteenths`),
        gap: Math.round(hindrance.gapMs),
        more: hindrance.places - 1,
      });
  }
}

function sayTogether(say: Say, voices: readonly VoiceId[]): string {
  const [first, ...others] = [...new Set(voices)];
  if (first && others.length === 0) {
    const times = voices.length;
    return say.t('readback.hindrance.voiceTimes', { voice: sayVoice(say, first), times });
  }
  const names = [...new Set(voices)].map((id) => sayVoice(say, id));
  return sayList(say, names);
}

/** What hinders where one exercise goes into the next. */
export function sayRunSeam(say: Say, seam: RunSeam, run: Exercise): string {
  const what = sayHindrance(say, seam.hindrance, run).reason;
  return say.t('readback.into', { from: seam.from, to: seam.to, what });
}

/** What a part of the difficulty is called. */
export function sayDifficultyPart({ t }: Say, { part }: Pick<DifficultyFacts, 'part'>): string {
  return t(`readback.difficulty.${part}`);
}

/** How the count of a part comes about.
 * @example { part: 'notes-a-beat', instants: 8, beats: 4 } // => '8 instants ÷ 4 beats' */
export function sayDifficulty(say: Say, facts: DifficultyFacts): string {
  const { t } = say;
  switch (facts.part) {
    case 'limbs':
      return facts.limbs.map(letterOf).join(' ');
    case 'combinations':
    case 'changes':
    case 'takeovers':
    case 'feet-in-a-row':
      return t(`readback.counted.${facts.part}`, { number: facts.number });
    case 'notes-a-beat': {
      const { instants, beats } = facts;
      return t('readback.counted.notes-a-beat', { instants, beats });
    }
    case 'off-the-beat':
      return facts.shares
        .filter(({ halves, between }) => halves + between > 0)
        .map((share) => sayShare(say, share))
        .join(' + ');
    case 'over-the-beat': {
      const { notes, bars } = facts;
      return t('readback.counted.over-the-beat', { notes, bars });
    }
    case 'grids':
      return `${facts.kinds} − 1`;
    case 'speed': {
      const limbs = facts.limbs
        .map(({ limb, rate, easy }) => `${letterOf(limb)} ${rate} ÷ ${easy}`)
        .join(' + ');
      return t('readback.counted.speed', { limbs });
    }
    case 'nearest': {
      const { ms, easyMs: easy } = facts;
      return t('readback.counted.nearest', { limb: letterOf(facts.limb), ms, easy });
    }
    case 'travel': {
      const { ways, ms, easyMs: easy } = facts;
      return t('readback.counted.travel', { ways, ms, easy });
    }
    case 'foot-to-foot':
      return facts.from
        .map((limb) => {
          const ends = { from: sayLimb(say, limb), to: sayLimb(say, mirrorLimb(limb)) };
          return t('readback.counted.foot-to-foot', ends);
        })
        .join(', ');
    case 'ornaments':
      return facts.ornaments.map((one) => `${one} ${ORNAMENT_POINTS[one]}`).join(' + ');
    case 'spacing':
      return facts.limbs
        .map(({ limb, kinds }) => t('readback.counted.spacing', { limb: letterOf(limb), kinds }))
        .join(' + ');
    case 'doubles':
      return t('readback.counted.doubles', { early: facts.early, all: facts.all });
    case 'dynamics':
      return [
        ...facts.limbs.map((one) => sayDynamics(say, one)),
        ...facts.loud.map((limb) =>
          t('readback.counted.allLoud', { limb: letterOf(limb), load: ALL_LOUD }),
        ),
      ].join(' + ');
    case 'reading':
      return t('readback.counted.reading', {
        ...{ hardest: facts.hardest, load: READING[facts.hardest] },
        ...{ others: facts.others, each: OTHER_BAR },
      });
    case 'textures':
      return facts.limbs
        .map(({ limb, kinds }) => t('readback.counted.textures', { limb: letterOf(limb), kinds }))
        .join(' + ');
    case 'ornamented':
      return t('readback.counted.ornamented', { number: facts.number });
    case 'round':
      return t('readback.counted.round', { beats: facts.beats });
    case 'meter':
      return t('readback.counted.meter', { beats: facts.beats });
    case 'weaker-side':
      return facts.limbs
        .map(({ limb, rate, easy }) => `${letterOf(limb)} ${rate} ÷ ${easy}`)
        .join(' + ');
    default:
      return unreachable(facts);
  }
}

/** How the count of a limb's dynamics comes about. */
function sayDynamics(say: Say, { kinds, ...share }: LimbDynamics): string {
  const { halves, between } = share;
  const off = halves + between > 0 ? ` + ${sayShare(say, share)}` : '';
  const moved = kinds > 1 ? ` + (${kinds} − 1) ÷ 2` : '';
  return `${letterOf(share.limb)} 1${off}${moved}`;
}

function sayShare({ t }: Say, { limb, halves, between, all }: OffBeatShare): string {
  const atHalf = halves === 0 ? '' : t('readback.counted.onHalf', { halves });
  const inBetween = between === 0 ? '' : t('readback.counted.between', { between });
  return `${letterOf(limb)} (${[atHalf, inBetween].filter(Boolean).join(' + ')}) ÷ ${all}`;
}
