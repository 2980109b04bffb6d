export { writeMidi } from './write';
