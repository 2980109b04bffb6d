export { amount, list, text, typedText, whole, within } from './shape';
