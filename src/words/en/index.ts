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
import { screen } from './screen';
import { sentence } from './sentence';
import { steps } from './steps';

/** The English of the app: every message, by its key, in ICU message format. */
export const en = {
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
  screen,
  sentence,
  steps,
  thing,
} as const;
