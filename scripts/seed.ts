/** Fills a new data folder with the demo studio; leaves one that holds a studio as it is. */
import { closeDb, theDb } from '@/db';
import { listDoors } from '@/server';
import { markDemo, seedDemo } from '@/server/demo';

const db = theDb();
if (listDoors({ db, now: Date.now }).length === 0) {
  seedDemo(db, Date.now(), Intl.DateTimeFormat().resolvedOptions().timeZone);
  console.log('Seeded the demo studio.');
}
// One that was seeded before there were accounts goes on being one to look around in.
markDemo(db);
closeDb(db);
