/** Fills a new data folder with the demo studio; leaves one that holds a studio as it is. */
import { closeDb, theDb } from '@/db';
import { listDoors } from '@/server';
import { seedDemo } from '@/server/demo';

const db = theDb();
if (listDoors({ db, now: Date.now }).length === 0) {
  seedDemo(db, Date.now(), Intl.DateTimeFormat().resolvedOptions().timeZone);
  console.log('Seeded the demo studio.');
}
closeDb(db);
