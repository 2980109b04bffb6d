export { Account } from './account';
export { Devices } from './devices';
