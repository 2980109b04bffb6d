export { markDemo, seedDemo } from './seed';
