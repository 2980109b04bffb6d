import { enForStudents } from './en/for-students';
import { pseudoCatalogue } from './pseudo';
import { speaker } from './say';

/** Says what stands on a student's screens, and nothing that only a teacher reads. */
export const sayToStudentsIn = speaker({
  'en-GB': () => enForStudents,
  'en-XA': () => pseudoCatalogue(enForStudents),
});
