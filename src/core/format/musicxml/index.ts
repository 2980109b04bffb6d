export { writeMusicXml } from './write';
export { readMusicXml } from './read';
