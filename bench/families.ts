import { seeded } from '@/core/chance';
import { coverMembers, FamilyJudge, foldMembers } from '@/core/family';
import { nearestNeighbourWalk, orderPath, pathCost, type Stop } from '@/core/path';
import { AT, familyOfSize, judge } from './family-of-size';
import { peakOf } from './peak';
import { median, timed, type Row } from './report';

const SIZES = [1000, 10_000, 99_000] as const;

/** Families: expanding and folding against copying the members’ recipes as JSON, the path against the
 * nearest-neighbour walk and the best order of eight, covers against their smallest known size. */
export function families(): Row[] {
  judge(familyOfSize(1000), 1000);
  const rows: Row[] = [];
  let first = NaN;
  for (const size of SIZES) {
    const family = familyOfSize(size);
    let alone = 0;
    const rounds = Array.from({ length: size > 10_000 ? 1 : 3 });
    const mine = median(rounds.map(() => timed(() => (alone = judge(family, size)))));
    if (size === SIZES[0]) first = mine;
    rows.push({
      what: `a family of ${size}: expand, read, fold`,
      measured: `${Math.round(mine)} ms, ${alone} kept apart`,
      against: `${(mine / first).toFixed(1)} × the time of ${SIZES[0]}`,
    });
  }
  const most = SIZES[2];
  rows.push({
    what: `peak resident memory of a family of ${most}`,
    measured: `${peakOf('peak-family', most)} MB`,
    against: `${peakOf('peak-family', SIZES[0])} MB for one of ${SIZES[0]}`,
  });
  return [...rows, ...paths(), ...covers()];
}

function paths(): Row[] {
  const family = familyOfSize(10_000);
  const { played } = new FamilyJudge(family, AT).take(family.size);
  const apart = foldMembers(played);
  const some = (count: number, step: number): readonly Stop[] =>
    Array.from({ length: count }, (_, index) => apart[(index * step) % apart.length]).filter(
      (one) => one !== undefined,
    );
  const many = some(500, 3);
  let order: readonly number[] = [];
  const took = timed(() => (order = orderPath(many)));
  const ratio = pathCost(many, order) / pathCost(many, nearestNeighbourWalk(many));
  const eights = Array.from({ length: 8 }, (_, nth) => some(8, 7 + 12 * nth));
  const over = eights.map((eight) => pathCost(eight, orderPath(eight)) / bestOf(eight));
  return [
    {
      what: 'a path through 500 members',
      measured: `${Math.round(took)} ms`,
      against: `${ratio.toFixed(2)} × the cost of the nearest-neighbour walk`,
    },
    {
      what: 'a path through 8 members, eight times',
      measured: `${(over.reduce((sum, one) => sum + one, 0) / over.length).toFixed(2)} ×, at worst ${Math.max(...over).toFixed(2)} ×`,
      against: 'the best of all orders from the easiest',
    },
  ];
}

/** The cost of the best order that begins with the easiest: all are tried. */
function bestOf(stops: readonly Stop[]): number {
  const points = stops.map((stop) => stop.points);
  const start = points.indexOf(Math.min(...points));
  const finish = (order: readonly number[]): number =>
    order.length === stops.length
      ? pathCost(stops, order)
      : Math.min(
          ...stops.map((_, next) => (order.includes(next) ? Infinity : finish([...order, next]))),
        );
  return finish([start]);
}

/** Sizes of axes, and the smallest cover of their pairs that is known (Colbourn’s tables, from
 * memory). */
const COVERS: readonly (readonly [readonly number[], number])[] = [
  [[5, 3, 3], 15],
  [[4, 4, 4, 4], 16],
  [[3, 3, 3, 3, 3], 11],
  [[3, 3, 3, 3, 3, 3], 12],
];

function covers(): Row[] {
  return COVERS.map(([sizes, known]) => {
    const members = sizes
      .reduce<readonly (readonly number[])[]>(
        (all, size) =>
          all.flatMap((one) => Array.from({ length: size }, (_, value) => [...one, value])),
        [[]],
      )
      .map((choice) => ({ choice }));
    let found = 0;
    const took = timed(() => {
      found = coverMembers(members, sizes, 'pairs', seeded(1)).length;
    });
    return {
      what: `every pair of ${sizes.join(' × ')}`,
      measured: `${found} members, ${Math.round(took)} ms`,
      against: `${(found / known).toFixed(2)} × the smallest known`,
    };
  });
}
