import { FULL_KIT } from '@/core/kit';
import type { Material, MaterialKind } from '@/core/materials';
import { ANY_NOTE } from '@/core/recipe';
import { stickingStart } from '@/core/sticking';
import type { MaterialId } from '@/core/studio';
import type { Say } from '@/words';
import type { MaterialDraft } from './shelf';

const FIRST_CONTENT = {
  ostinato: { meter: '4/4', swung: false, lanes: [] },
  line: { text: '' },
  sticking: { ...stickingStart('') },
  cells: { cells: { 1: 'R', 2: 'RL', 3: 'RLL', 4: 'RLLK' } },
  rules: { rules: [{ ...ANY_NOTE, plays: [...ANY_NOTE.plays] }] },
  kit: { handedness: FULL_KIT.handedness, voices: [...FULL_KIT.voices] },
} as const satisfies Readonly<Record<MaterialKind, unknown>>;

export function newDraft(kind: MaterialKind): MaterialDraft {
  const meter = kind === 'ostinato' || kind === 'line' ? '4/4' : null;
  return { id: null, kind, name: '', trains: '', meter, content: FIRST_CONTENT[kind] };
}

/** A material to be edited, or copied: a copy is a new one of another name. */
export function draftOf(say: Say, material: Material, edit: boolean): MaterialDraft {
  const { kind, trains, meter, name, content } = material;
  return {
    id: edit ? (material.id as MaterialId) : null,
    kind,
    name: edit ? name : say.t('screen.materials.mine', { name }),
    trains,
    meter,
    content: content as unknown as MaterialDraft['content'],
  };
}
