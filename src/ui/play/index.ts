export { TempoGlyph } from './tempo-glyph';
export { usePlayback } from './use-playback';
export type { Playback } from './use-playback';
