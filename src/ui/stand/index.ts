export { Stand } from './stand';
