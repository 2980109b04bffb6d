export { CAUTION_LINE, CAUTIONS } from './caution';
