import { change } from './change';
import { issue, misfit, thing } from './issue';
import { kit } from './kit';
import { notes } from './notes';
import { plan } from './plan';
import { playing } from './playing';
import { practice } from './practice';
import { readback } from './readback';
import { screen } from './screen';
import { steps } from './steps';

/** The English of the app: every message, by its key, in ICU message format. */
export const en = {
  change,
  issue,
  kit,
  misfit,
  notes,
  plan,
  playing,
  practice,
  readback,
  screen,
  steps,
  thing,
} as const;
