export { Materials } from './materials';
