export { amount, list, text, typedText, whole } from './shape';
