import type { Issue } from '../issue';
import { barLineIssues } from '../sticking';
import { parseMeter } from '../time';
import type { ClosedMember } from './schema';

/** Bar lines of a sticking that stand where no bar ends. They change nothing that is played, so that what
 * was kept with them is played on; what is typed now has to have them right.
 * @returns issues `sticking-bar` */
export function misplacedBarLines({ play, meter: text }: ClosedMember): readonly Issue[] {
  const meter = parseMeter(text);
  if (!meter.ok || !play || !('sticking' in play.content)) return [];
  return barLineIssues(play.content.sticking, play.content.slot, meter.value);
}
