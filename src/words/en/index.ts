import { enForStudents } from './for-students';
import { bench } from './screen/bench';
import { materials } from './screen/materials';
import { programs } from './screen/programs';
import { steps } from './screen/steps';
import { students } from './screen/students';
import { variations } from './screen/variations';

/** The English of the app: every message, by its key. */
export const en = {
  ...enForStudents,
  screen: { ...enForStudents.screen, bench, materials, programs, steps, students, variations },
} as const;
