import type { Database } from './database';

/** Something made of a database once, however often it is asked for. */
export function onceFor<Made>(make: (db: Database) => Made): (db: Database) => Made {
  const made = new WeakMap<Database, Made>();
  return (db) => {
    const known = made.get(db) ?? make(db);
    made.set(db, known);
    return known;
  };
}
