export { dataFolder, openDb, theDb } from './open';
export * as queries from './queries';
export type { Db } from './open';
