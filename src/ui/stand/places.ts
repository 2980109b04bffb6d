import { itemAt, type Stand } from './round';

/** Most tries that are played without a hand on the screen. */
const MOST_IN_A_ROW = 6;

/** The places that are played from here on without stopping: up to a break, and to what was found out
 * only then. @param handsFree otherwise just this one */
export function placesFrom(stand: Stand, handsFree: boolean): readonly number[] {
  const places: number[] = [];
  for (let place = stand.place; place < stand.slots.length; place += 1) {
    const item = itemAt(stand, place);
    if (!item || (places.length > 0 && item.state.climbing)) break;
    places.push(place);
    if (!handsFree || item.state.climbing || places.length === MOST_IN_A_ROW) break;
  }
  return places;
}
