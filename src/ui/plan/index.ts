export { cautionsOf } from './cautions';
export { rowsOf } from './rows';
export { KIND_WORDS, sayDate, sayMinutes, sayMissed } from './words';
export { Plan } from './plan';
