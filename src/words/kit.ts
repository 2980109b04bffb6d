import type { KitProfile, Limb, TextureId, VoiceId } from '@/core/kit';
import type { Exercise } from '@/core/recipe';
import { sayList, type Say } from './say';

/** @example sayLimb(ENGLISH, 'RH') // => 'right hand' */
export function sayLimb({ t }: Say, limb: Limb): string {
  return t(`kit.limb.${limb}`);
}

/** @example sayVoice(ENGLISH, 'hat') // => 'closed hi-hat' */
export function sayVoice({ t }: Say, id: VoiceId): string {
  return t(`kit.voice.${id}`);
}

/** @example sayTexture(ENGLISH, 'tight') // => 'tight hi-hat' */
export function sayTexture({ t }: Say, id: TextureId): string {
  return t(`kit.texture.${id}`);
}

/** @example sayHandedness(ENGLISH, 'left-lead') // => 'left lead' */
export function sayHandedness({ t }: Say, handedness: KitProfile['handedness']): string {
  return t(`kit.handedness.${handedness}`);
}

/** @example sayLimbs(ENGLISH, ['RH', 'RF']) // => 'right hand and right foot' */
export function sayLimbs(say: Say, limbs: readonly Limb[]): string {
  return sayList(
    say,
    limbs.map((limb) => sayLimb(say, limb)),
  );
}

/** What this player's kit makes of an exercise: which way round it stands, and what is played in place of voices
 * that it lacks. @example ['mirrored', 'ride and snare on the pad', 'bass drum: the foot taps the floor'] */
export function sayFitted(
  say: Say,
  { kit, replaced }: Pick<Exercise, 'kit' | 'replaced'>,
): readonly string[] {
  const byVoice = new Map<VoiceId | null, VoiceId[]>();
  for (const { voice, by } of replaced) {
    const known = byVoice.get(by) ?? [];
    byVoice.set(by, known.includes(voice) ? known : [...known, voice]);
  }
  const turned = kit.handedness === 'right' ? [] : [sayHandedness(say, kit.handedness)];
  return [
    ...turned,
    ...[...byVoice].map(([by, all]) => {
      const voices = sayList(
        say,
        all.map((one) => sayVoice(say, one)),
      );
      return by === null
        ? say.t('kit.tapsTheFloor', { voices })
        : say.t('kit.playedOn', { voices, by: sayVoice(say, by) });
    }),
  ];
}
