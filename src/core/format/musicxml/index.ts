export { isMusicXml, readMusicXml } from './read';
export { writeMusicXml } from './write';
