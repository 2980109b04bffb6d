import { LIMBS, TEXTURE_IDS, VOICE_IDS, type Limb, type TextureId, type VoiceId } from '../kit';
import { DYNAMICS, ORNAMENTS, type Dynamic, type Ornament, type Stroke } from '../pattern';

function numbered<Id extends string>(ids: readonly Id[]): Readonly<Record<Id, number>> {
  return Object.fromEntries(ids.map((id, index) => [id, index + 1])) as Record<Id, number>;
}

const VOICE: Readonly<Record<VoiceId, number>> = numbered(VOICE_IDS);
const DYNAMIC: Readonly<Record<Dynamic, number>> = numbered(DYNAMICS);
const ORNAMENT: Readonly<Record<Ornament, number>> = numbered(ORNAMENTS);
const TEXTURE: Readonly<Record<TextureId, number>> = numbered(TEXTURE_IDS);
const LIMB: Readonly<Record<Limb, number>> = numbered(LIMBS);

/** More than there are of any of them. */
const BASE = 32;

/** A number that is equal for strokes that sound the same, whoever plays them. */
export function soundCode({ voice, dynamic, ornament, texture }: Stroke): number {
  const made = (ornament ? ORNAMENT[ornament] : 0) * BASE + (texture ? TEXTURE[texture] : 0);
  return (made * BASE + DYNAMIC[dynamic]) * BASE + VOICE[voice];
}

/** A number that is equal for strokes of one limb that sound the same. */
export function strokeCode(stroke: Stroke): number {
  return soundCode(stroke) * BASE + LIMB[stroke.limb];
}
