import { seeded } from '@/core/chance';
import { coverMembers, FamilyJudge, keepBest, openFamily, type Played } from '@/core/family';
import { keepOrder, orderPath } from '@/core/path';
import type { FromFamilyWorker, ToFamilyWorker } from './family-messages';

/** First members come at once, the others in stretches that let the screen draw. */
const FIRST = 40;
const STRETCH = 400;

const members = new Map<number, Played>();
let sizes: readonly number[] = [];
/** The family that is worked on; a newer one ends it. */
let current = 0;

function say(message: FromFamilyWorker): void {
  self.postMessage(message);
}

self.onmessage = ({ data }: MessageEvent<ToFamilyWorker>) => {
  switch (data.kind) {
    case 'open':
      return open(data);
    case 'order':
      return order(data);
    case 'cover':
      return cover(data);
  }
};

function open({ job, family, tempo }: Extract<ToFamilyWorker, { kind: 'open' }>): void {
  current = job;
  members.clear();
  const opened = openFamily(family);
  if (!opened.ok) return say({ kind: 'refused', job, issues: opened.issues });
  sizes = opened.value.axes.map((axis) => axis.values.length);
  const judge = new FamilyJudge(opened.value, tempo);
  const { size } = opened.value;
  let stretch = FIRST;
  (function next() {
    if (job !== current) return;
    const { played, impossible } = judge.take(stretch);
    for (const one of played) members.set(one.index, one);
    const shown = played.map(({ events: _, ...one }) => one);
    say({ kind: 'part', job, played: shown, impossible, done: judge.done, size });
    stretch = STRETCH;
    if (!judge.over) setTimeout(next);
  })();
}

function found(indexes: readonly number[]): readonly Played[] {
  return indexes.flatMap((index) => members.get(index) ?? []);
}

function order(asked: Extract<ToFamilyWorker, { kind: 'order' }>): void {
  const stops = found(asked.members);
  const places = new Map(stops.map((one, place) => [one.index, place]));
  const pinned = (all: readonly number[]) => all.flatMap((index) => places.get(index) ?? []);
  const own = asked.own?.flatMap((index) => places.get(index) ?? []);
  const ordered = own
    ? keepOrder(stops, own)
    : orderPath(stops, { first: pinned(asked.first), last: pinned(asked.last) });
  const indexes = ordered.flatMap((one) => stops[one]?.index ?? []);
  say({ kind: 'ordered', ask: asked.ask, order: indexes });
}

/** The same family is covered the same way each time. */
const SEED = 1;

function cover({ ask, members: indexes, of, count }: Extract<ToFamilyWorker, { kind: 'cover' }>) {
  const all = found(indexes);
  const fewest = coverMembers(all, sizes, of, seeded(SEED));
  const best = count === null ? fewest : keepBest(fewest, all.length, count);
  say({ kind: 'covered', ask, chosen: best.flatMap((nth) => all[nth]?.index ?? []) });
}
