import { change } from './change';
import { kit } from './kit';
import { material } from './material';
import { notes } from './notes';
import { plan } from './plan';
import { playing } from './playing';
import { practice } from './practice';
import { readback } from './readback';
import { common } from './screen/common';
import { devices } from './screen/devices';
import { plan as planScreen } from './screen/plan';
import { record } from './screen/record';
import { shell } from './screen/shell';
import { stand } from './screen/stand';
import { today } from './screen/today';
import { sentence } from './sentence';

/** English as far as a student's screens need it while nothing goes wrong, in ICU message format. */
export const enForStudents = {
  change,
  kit,
  material,
  notes,
  plan,
  playing,
  practice,
  readback,
  screen: { common, devices, plan: planScreen, record, shell, stand, today },
  sentence,
} as const;
