/** Rows that are chosen together: the one that keys start from, where a stretch began, and all of them in the
 * order of the list. */
export interface Selection {
  readonly active: number;
  readonly anchor: number;
  readonly rows: readonly number[];
}

/** How a row is chosen: alone, with all up to it, or besides those that are chosen. */
export type ChooseWay = 'alone' | 'through' | 'besides';

/** What is chosen once a row is taken. @param order all rows, in the order in which they stand */
export function chooseRow(
  before: Selection | null,
  order: readonly number[],
  row: number,
  way: ChooseWay,
): Selection {
  const alone = { active: row, anchor: row, rows: [row] };
  const was = before && { ...before, rows: order.filter((one) => before.rows.includes(one)) };
  if (way === 'alone' || !was || was.rows.length === 0) return alone;
  if (way === 'through') {
    const ends = [order.indexOf(was.anchor), order.indexOf(row)];
    if (ends.some((place) => place < 0)) return alone;
    const rows = order.slice(Math.min(...ends), Math.max(...ends) + 1);
    return { active: row, anchor: was.anchor, rows };
  }
  if (!was.rows.includes(row)) {
    return { ...alone, rows: order.filter((one) => one === row || was.rows.includes(one)) };
  }
  const rows = was.rows.filter((one) => one !== row);
  const [next] = rows;
  return next === undefined ? was : { active: next, anchor: next, rows };
}

/** Moves rows so many places up (negative) or down, together and in their order; at an end they stop.
 * @example moveRows([1, 2, 3, 4], [2, 4], -1) // => [2, 4, 1, 3] */
export function moveRows(
  order: readonly number[],
  rows: readonly number[],
  by: number,
): readonly number[] {
  const places = rows.map((row) => order.indexOf(row));
  const from = by < 0 ? Math.min(...places) : Math.max(...places);
  const onto = order[Math.max(0, Math.min(order.length - 1, from + by))];
  return onto === undefined || rows.includes(onto)
    ? gathered(order, rows, by < 0 ? Math.min(...places) : Math.max(...places) + 1)
    : gathered(order, rows, order.indexOf(onto) + (by < 0 ? 0 : 1));
}

/** Puts rows, together and in their order, where another row stands, which gives way to the side from which
 * they come. @example putRows([1, 2, 3, 4], [1, 2], 3) // => [3, 1, 2, 4] */
export function putRows(
  order: readonly number[],
  rows: readonly number[],
  onto: number,
): readonly number[] {
  const place = order.indexOf(onto);
  const from = Math.min(...rows.map((row) => order.indexOf(row)));
  return rows.includes(onto) ? order : gathered(order, rows, place + (from < place ? 1 : 0));
}

/** @param at place in the order as it was, before which they go */
function gathered(
  order: readonly number[],
  rows: readonly number[],
  at: number,
): readonly number[] {
  const moving = order.filter((row) => rows.includes(row));
  const stays = (row: number) => !rows.includes(row);
  return [...order.slice(0, at).filter(stays), ...moving, ...order.slice(at).filter(stays)];
}
