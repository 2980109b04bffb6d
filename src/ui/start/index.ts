export { Start } from './start';
