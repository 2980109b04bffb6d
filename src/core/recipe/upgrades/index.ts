export { isRecord, upgrade, versionOf } from './upgrade';
export { RECIPE_VERSION, UPGRADES } from './steps';
