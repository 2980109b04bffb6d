import { fail, ok, type Path, type Result } from '../issue';
import { VOICES } from './data';
import { isHand, type Limb } from './limb';

export type Voice = (typeof VOICES)[number];
export type VoiceId = Voice['id'];

export const VOICE_IDS: readonly VoiceId[] = VOICES.map(({ id }) => id);

const BY_ID = new Map<string, Voice>(VOICES.map((voice) => [voice.id, voice]));
const ORDER = new Map<string, number>(VOICES.map((voice, index) => [voice.id, index]));

export function voice(id: VoiceId): Voice {
  const found = BY_ID.get(id);
  if (!found) throw new RangeError(`${id} is not a voice`);
  return found;
}

/** Place in staff order, 0 at the top. */
export function staffOrder(id: VoiceId): number {
  return ORDER.get(id) ?? ORDER.size;
}

/** A hi-hat that a stick plays; the foot chick is not one of them. */
export function isStickedHat(id: VoiceId): boolean {
  return id === 'hat' || id === 'hat-half' || id === 'hat-open';
}

/** The limb that plays a voice on a right-handed kit when nothing else is said. */
export function usualLimb(id: VoiceId): Limb {
  return voice(id).limb;
}

/** Whether a foot plays a voice. */
export function isPedal(id: VoiceId): boolean {
  return !isHand(usualLimb(id));
}

/** The limb that plays another voice than before: a hand goes on with a drum or a cymbal, a pedal takes its foot. */
export function limbTaking(id: VoiceId, before: Limb): Limb {
  const usual = usualLimb(id);
  return isHand(usual) && isHand(before) ? before : usual;
}

/** Voices a limb usually plays: hands everything but the pedals, feet the pedals. */
export function voicesOf(limb: Limb): readonly Voice[] {
  return VOICES.filter(({ id }) => isPedal(id) !== isHand(limb));
}

/** Finds a voice by id or name. @returns issue `voice` with the nearest name, if one is near */
export function parseVoice(text: string, path: Path): Result<VoiceId> {
  const wanted = text.trim().toLowerCase();
  const found = VOICES.find((v) => v.id === wanted || v.name === wanted);
  if (found) return ok(found.id);
  const near = VOICES.find(
    (v) => wanted.length > 1 && (v.name.includes(wanted) || wanted.includes(v.id)),
  );
  return fail({ code: 'voice', path, text, near: near?.name ?? null });
}
