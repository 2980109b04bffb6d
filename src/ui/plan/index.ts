export { cautionsOf } from './cautions';
export { rowsOf } from './rows';
export { KIND_WORDS, sayDate, sayMinutes } from './words';
export { Plan } from './plan';
