export { isMidi, readMidi } from './read';
export { writeMidi } from './write';
export type { PlayedNote } from './read';
