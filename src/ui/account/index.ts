export { Account } from './account';
export { Devices } from './devices';
export { Part } from './part';
export { Sure } from './sure';
