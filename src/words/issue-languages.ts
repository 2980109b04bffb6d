import { enWithIssues } from './en/with-issues';
import { pseudoCatalogue } from './pseudo';
import { speaker } from './say';

/** Says what has gone wrong, on any screen. */
export const sayIssuesIn = speaker({
  'en-GB': () => enWithIssues,
  'en-XA': () => pseudoCatalogue(enWithIssues),
});
