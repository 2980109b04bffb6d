import { Player } from './player';
import { fetchRecordings } from './recordings';
import { openSounder } from './sounder';
import { tickerFor } from './ticker';

export { setSoundDelayMs, soundDelayMs } from './delay';
export { Player } from './player';
export { loadRecordings } from './recordings';
export { renderWav } from './render-wav';

/** The drums come before the first touch asks for them, and after all that the screen itself needs. Ms. */
const FETCH_AFTER = 2000;

if (typeof window !== 'undefined') window.setTimeout(fetchRecordings, FETCH_AFTER);

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
