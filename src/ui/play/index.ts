export { TempoGlyph } from './tempo-glyph';
export { readTempo, TempoField } from './tempo-field';
export { useHear } from './use-hear';
export { usePlayback } from './use-playback';
export type { PlayedTo } from '@/audio';
export type { Playback } from './use-playback';
export { FilesPop, TapDelay } from './late';
