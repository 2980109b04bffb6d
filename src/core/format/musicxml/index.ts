export { writeMusicXml } from './write';
