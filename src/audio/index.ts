import { Player } from './player';
import { fetchRecordings } from './recordings';
import { openSounder } from './sounder';
import { tickerFor } from './ticker';

export { Player } from './player';
export { renderWav } from './render-wav';

// The drums are on their way before the first touch asks for them.
if (typeof window !== 'undefined') fetchRecordings();

/** A player on the app's one sounder; see `openSounder` for when to call it. */
export async function openPlayer(): Promise<{
  player: Player;
  audible: boolean;
  recorded: boolean;
}> {
  const sounder = await openSounder();
  const { audible, recorded } = sounder;
  return { player: new Player(sounder, tickerFor(sounder)), audible, recorded };
}

export type { Part, PlayedTo, Telling } from './player';
