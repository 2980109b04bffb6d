import type { KitProfile, Limb, TextureId, VoiceId } from '@/core/kit';
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
