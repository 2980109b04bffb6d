import { retype } from './retype';
import { access } from './screen/access';
import { account } from './screen/account';
import { bench } from './screen/bench';
import { materials } from './screen/materials';
import { programs } from './screen/programs';
import { steps as stepsScreen } from './screen/steps';
import { students } from './screen/students';
import { variations } from './screen/variations';
import { starter } from './starter';
import { steps } from './steps';
import { enWithIssues } from './with-issues';

/** The English of the app: every message, by its key. */
export const en = {
  ...enWithIssues,
  retype,
  starter,
  steps,
  screen: {
    ...enWithIssues.screen,
    ...{
      access,
      account,
      bench,
      materials,
      programs,
      steps: stepsScreen,
      students,
      variations,
    },
  },
} as const;
