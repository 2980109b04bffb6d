import { issue, misfit, thing } from './issue';
import { notes } from './notes';
import { plan } from './plan';
import { playing } from './playing';
import { practice } from './practice';
import { readback } from './readback';
import { steps } from './steps';

/** The English of the app: every message, by its key, in ICU message format. */
export const en = {
  issue,
  misfit,
  notes,
  plan,
  playing,
  practice,
  readback,
  steps,
  thing,
} as const;
