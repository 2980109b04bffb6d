/** Writes the files that tests start from into a folder. */
import { join } from 'node:path';
import { must } from '@/core/issue';
import { closeDb, openDb } from '@/db';
import { openStudio } from '@/server';
import { seedDemo } from '@/server/demo';

const [folder = '.'] = process.argv.slice(2);
const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;

closeDb(openDb(join(folder, 'empty.sqlite')));

const demo = openDb(join(folder, 'demo.sqlite'));
seedDemo(demo, Date.now(), zone);
must(
  openStudio(
    { db: demo, now: Date.now },
    { studio: 'Shared bench', teacher: 'Ada', zone, demo: true },
  ),
);
closeDb(demo);
