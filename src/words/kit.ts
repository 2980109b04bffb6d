import { limbName, voice, type KitProfile, type Limb, type VoiceId } from '@/core/kit';
import { sayList, type Say } from './say';

/** @example sayLimb(ENGLISH, 'RH') // => 'right hand' */
export function sayLimb(_: Say, limb: Limb): string {
  return limbName(limb);
}

/** @example sayVoice(ENGLISH, 'hat') // => 'closed hi-hat' */
export function sayVoice(_: Say, id: VoiceId): string {
  return voice(id).name;
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
