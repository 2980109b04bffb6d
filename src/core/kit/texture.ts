/** How a stroke is made: which part of the stick, where it lands, how tight the hi-hat is held,
 * snares on or off. A stroke without one is played the usual way. `db` and `pitch` are what it does
 * to the sound: decibels, and a factor of the pitch; by ear, no source. */
export const TEXTURES = [
  { id: 'tip', letter: 't', db: -2, pitch: 1.04 },
  { id: 'shoulder', letter: 's', db: 2, pitch: 0.94 },
  { id: 'butt', letter: 'b', db: 3, pitch: 0.9 },
  { id: 'edge', letter: 'e', db: -3, pitch: 1.06 },
  { id: 'centre', letter: 'c', db: 0, pitch: 0.98 },
  { id: 'rim', letter: 'r', db: 2, pitch: 1.1 },
  { id: 'tight', letter: '+', db: -2, pitch: 1.08 },
  { id: 'loose', letter: 'o', db: 1, pitch: 0.92 },
  { id: 'snares-off', letter: '–', db: -2, pitch: 0.85 },
] as const;

export type Texture = (typeof TEXTURES)[number];
export type TextureId = Texture['id'];

export const TEXTURE_IDS: readonly TextureId[] = TEXTURES.map(({ id }) => id);

export function texture(id: TextureId): Texture {
  const found = TEXTURES.find((one) => one.id === id);
  if (!found) throw new RangeError(`${id} is not a texture`);
  return found;
}
