export { cautionsOf } from './cautions';
export { rowsOf } from './rows';
export { Plan } from './plan';
