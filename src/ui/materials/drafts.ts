import { FULL_KIT } from '@/core/kit';
import type { Material, MaterialKind } from '@/core/materials';
import { ANY_NOTE } from '@/core/recipe';
import { typedSticking } from '@/core/sticking';
import type { MaterialId } from '@/core/studio';
import type { Say } from '@/words';
import type { MaterialDraft } from './shelf';

const NEW = { id: null, name: '', trains: '', meter: null } as const;

/** What a new material of each kind begins with. */
const FIRST: { readonly [Kind in MaterialKind]: Extract<MaterialDraft, { kind: Kind }> } = {
  ostinato: {
    ...NEW,
    kind: 'ostinato',
    meter: '4/4',
    content: { meter: '4/4', swung: false, lanes: [] },
  },
  line: { ...NEW, kind: 'line', meter: '4/4', content: { text: '' } },
  sticking: { ...NEW, kind: 'sticking', content: typedSticking('') },
  cells: {
    ...NEW,
    kind: 'cells',
    content: { cells: { 1: 'R', 2: 'RL', 3: 'RLL', 4: 'RLLK' } },
  },
  rules: { ...NEW, kind: 'rules', content: { rules: [ANY_NOTE] } },
  kit: {
    ...NEW,
    kind: 'kit',
    content: { handedness: FULL_KIT.handedness, voices: FULL_KIT.voices },
  },
};

export function newDraft(kind: MaterialKind): MaterialDraft {
  return FIRST[kind];
}

/** A material to be edited, or copied: a copy is a new one of another name. */
export function draftOf(say: Say, material: Material, edit: boolean): MaterialDraft {
  const { trains, meter, name } = material;
  return {
    ...material,
    id: edit ? (material.id as MaterialId) : null,
    name: edit ? name : say.t('screen.materials.mine', { name }),
    trains,
    meter,
  };
}
