import { Player } from './player';
import { openSounder } from './sounder';
import { tickerFor } from './ticker';

export { Player } from './player';

/** A player on the app's one sounder; see `openSounder` for when to call it. */
export async function openPlayer(): Promise<{ player: Player; audible: boolean }> {
  const sounder = await openSounder();
  return { player: new Player(sounder, tickerFor(sounder)), audible: sounder.audible };
}

export type { Part, PlayedTo, Telling } from './player';
