export const NOTE_NAMES = ['american', 'british'] as const;
export type NoteNames = (typeof NOTE_NAMES)[number];
