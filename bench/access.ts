import { must } from '@/core/issue';
import { openDb } from '@/db';
import {
  addStudent,
  asTeacher,
  openFirst,
  setupCode,
  signInAs,
  signInWith,
  viewerOf,
  whoIs,
} from '@/server';
import { median, type Row } from './report';

const STUDENTS = 300;
const CHECKS = 3000;
const SIGN_INS = 24;

/** What a page costs more for knowing who asks, among those who are signed in of a school; and whether the time of a
 * sign-in tells that there is such an address. */
export async function access(): Promise<Row[]> {
  process.env.MIVVEL_SECRET = 'a secret for this measurement, long enough';
  const context = { db: openDb(':memory:'), now: Date.now };
  const typed = { email: 'ada@mole-end.example', password: 'four plain words here' };
  const studio = { studio: 'Mole End', teacher: 'Ada', zone: 'UTC', code: setupCode() };
  let seen = 0;
  const browser = () => ({ agent: 'Firefox', address: `10.0.0.${(seen += 1)}` });
  const { token } = must(await openFirst(context, { ...studio, ...typed }, browser()));
  const teacher = must(asTeacher(context, whoIs(context, token)));
  const tokens = Array.from({ length: STUDENTS }, (_, nth) => {
    const viewer = viewerOf(context, must(addStudent(teacher, { name: `S${nth}`, about: '' })));
    if (!viewer) throw new Error('nobody');
    return signInAs(context, viewer, browser());
  });
  const checks = Array.from({ length: CHECKS }, (_, nth) => {
    const from = performance.now();
    whoIs(context, tokens[nth % STUDENTS] ?? '');
    return performance.now() - from;
  });
  const known: number[] = [];
  const unknown: number[] = [];
  for (let nth = 0; nth < SIGN_INS; nth += 1) {
    const from = performance.now();
    await signInWith(context, { ...typed, password: 'wrong words' }, browser());
    const between = performance.now();
    await signInWith(context, { email: `nobody${nth}@x.example`, password: 'wrong' }, browser());
    known.push(between - from);
    unknown.push(performance.now() - between);
  }
  return [
    {
      what: `who is signed in, of ${STUDENTS}`,
      measured: `${median(checks).toFixed(3)} ms`,
      against: `${median(checks).toFixed(2)} × the 1 ms that is meant`,
    },
    {
      what: 'a wrong sign-in with an address that has an account',
      measured: `${median(known).toFixed(0)} ms`,
      against: `${(median(known) / median(unknown)).toFixed(2)} × with one that has none (${median(unknown).toFixed(0)} ms)`,
    },
  ];
}
