export { isRecord, upgrade, versionOf } from './upgrade';
export { UPGRADES } from './steps';
