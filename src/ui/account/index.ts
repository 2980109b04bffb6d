export { Account } from './account';
export { Devices } from './devices';
export { OwnDevices } from './own-devices';
export { Part } from './part';
export { Sure } from './sure';
