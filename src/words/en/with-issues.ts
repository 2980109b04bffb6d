import { family } from './family';
import { enForStudents } from './for-students';
import { issue, misfit, thing } from './issue';

/** English as far as a student's screens need it, also when something goes wrong. */
export const enWithIssues = { ...enForStudents, family, issue, misfit, thing } as const;
