export { ReadbackPanel } from './panel';
