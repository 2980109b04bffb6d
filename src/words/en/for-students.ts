import { change } from './change';
import { family } from './family';
import { issue, misfit, thing } from './issue';
import { kit } from './kit';
import { material } from './material';
import { notes } from './notes';
import { plan } from './plan';
import { playing } from './playing';
import { practice } from './practice';
import { readback } from './readback';
import { retype } from './retype';
import { common } from './screen/common';
import { plan as planScreen } from './screen/plan';
import { record } from './screen/record';
import { shell } from './screen/shell';
import { stand } from './screen/stand';
import { today } from './screen/today';
import { sentence } from './sentence';
import { steps } from './steps';

/** English as far as a student's screens need it, in ICU message format. */
export const enForStudents = {
  change,
  family,
  issue,
  kit,
  material,
  misfit,
  notes,
  plan,
  playing,
  practice,
  readback,
  retype,
  screen: { common, plan: planScreen, record, shell, stand, today },
  sentence,
  steps,
  thing,
} as const;
