export { Steps } from './steps';
