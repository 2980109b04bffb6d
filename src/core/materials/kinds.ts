/** Kinds of material, in the order in which they are shown. */
export const MATERIAL_KINDS = ['ostinato', 'line', 'sticking', 'cells', 'rules', 'kit'] as const;

export type MaterialKind = (typeof MATERIAL_KINDS)[number];
