import type { Connection } from './connection';

/** A query that is asked at every request: built and compiled once for each open file, not each time. */
export function prepared<Query>(make: (db: Connection) => Query): (db: Connection) => Query {
  const made = new WeakMap<Connection, Query>();
  return (db) => {
    let query = made.get(db);
    if (!query) made.set(db, (query = make(db)));
    return query;
  };
}
