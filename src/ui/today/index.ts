export { Today } from './today';
