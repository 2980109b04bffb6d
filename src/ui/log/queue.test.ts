import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Posted } from '@/core/log';
import type { EntryAnswer, EntryId, PersonId } from '@/core/studio';
import { readWaiting } from './kept-queue';
import {
  afterAnswers,
  afterFailure,
  afterRefusal,
  batchOf,
  EMPTY_QUEUE,
  leftOut,
  pauseMs,
  retried,
  withEntries,
  type Queue,
} from './queue';
import { LogSender } from './sender';

function entry(id: string, about?: string): Posted {
  const base = { id: id as EntryId, agoMs: 0 };
  return (about === undefined
    ? { kind: 'try', ...base }
    : { kind: 'broke', ...base, about }) as unknown as Posted;
}

const stored = (id: string): EntryAnswer => ({
  id: id as EntryId,
  result: { ok: true, value: null },
});
const refused = (id: string): EntryAnswer => {
  const issues = [{ code: 'not-found' as const, path: [], what: 'item' as const }];
  return { id: id as EntryId, result: { ok: false, issues } };
};

const ids = (queue: Queue) => queue.waiting.map((one) => one.entry.id).join(' ');

describe('the queue', () => {
  const three = withEntries(EMPTY_QUEUE, [entry('a'), entry('b', 'a'), entry('c')], 1000);

  it('keeps the order, and each entry once', () => {
    expect(ids(withEntries(three, [entry('a'), entry('d')], 2000))).toBe('a b c d');
  });

  it('sends each with how long it has waited, also when the clock was put back', () => {
    const later = withEntries(three, [entry('d')], 5000);
    expect(batchOf(later, 4000).map((one) => one.agoMs)).toEqual([3000, 3000, 3000, 0]);
  });

  it('waits longer after each failure, a minute at most', () => {
    let queue = three;
    const pauses = Array.from({ length: 9 }, () => pauseMs((queue = afterFailure(queue))));
    expect(pauses).toEqual([1000, 2000, 4000, 8000, 16_000, 32_000, 60_000, 60_000, 60_000]);
    expect(pauseMs(afterAnswers(queue, [stored('a')]))).toBe(0);
  });

  it('stops at what will never be taken, until that is left out with what is about it', () => {
    const stuck = afterAnswers(three, [refused('a'), refused('b'), stored('c')]);
    expect(ids(stuck)).toBe('a b');
    expect(stuck.stuck).toMatchObject({ id: 'a', issues: [{ code: 'not-found' }] });
    expect(batchOf(stuck, 0)).toEqual([]);
    expect(batchOf(retried(stuck), 0)).toHaveLength(2);
    expect(leftOut(stuck)).toEqual({ queue: EMPTY_QUEUE, ids: ['a', 'b'] });
    expect(leftOut(three).queue).toBe(three);
  });

  it('stops as a whole where the batch is refused', () => {
    const issues = [{ code: 'not-yours' as const, path: [], what: 'page' as const }];
    expect(afterRefusal(three, issues).stuck).toEqual({ id: 'a', issues });
  });

  it('loses nothing and changes no order, whatever the network does', () => {
    const happenings = fc.array(fc.constantFrom('put', 'fail', 'answer', 'half'), {
      maxLength: 60,
    });
    fc.assert(
      fc.property(happenings, (all) => {
        let queue = EMPTY_QUEUE;
        let made = 0;
        const log: string[] = [];
        const answer = (entries: readonly Posted[]) => {
          log.push(...entries.map((one) => one.id));
          queue = afterAnswers(
            queue,
            entries.map((one) => stored(one.id)),
          );
        };
        for (const what of all) {
          const batch = batchOf(queue, 0);
          if (what === 'put') queue = withEntries(queue, [entry(String((made += 1)))], made);
          else if (what === 'fail') queue = afterFailure(queue);
          else answer(what === 'half' ? batch.slice(0, batch.length >> 1) : batch);
        }
        while (queue.waiting.length > 0) answer(batchOf(queue, 0));
        expect(log).toEqual(Array.from({ length: made }, (_, index) => String(index + 1)));
      }),
    );
  });
});

describe('LogSender', () => {
  const person = 'p' as PersonId;
  const kept = new Map<string, string>();
  const posts: string[][] = [];
  let server: (ids: string[]) => Response | Error;

  beforeEach(() => {
    vi.useFakeTimers();
    kept.clear();
    posts.length = 0;
    server = (sent) => {
      const answers = sent.map((id) => stored(id));
      return Response.json({ ok: true, value: { answers, items: [] } });
    };
    vi.stubGlobal('localStorage', {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
      removeItem: (key: string) => kept.delete(key),
    });
    vi.stubGlobal('window', new EventTarget());
    vi.stubGlobal('fetch', (_: string, { body }: { body: string }) => {
      const sent = (JSON.parse(body) as { entries: Posted[] }).entries.map((one) => one.id);
      const answer = server(sent);
      if (answer instanceof Error) return Promise.reject(answer);
      posts.push(sent);
      return Promise.resolve(answer);
    });
  });

  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it('stores what is put in, in order, and says so', async () => {
    const sender = new LogSender(person);
    const learnt: string[] = [];
    sender.start();
    sender.onLearnt((one) => learnt.push(...one.stored));
    sender.put(entry('a'), entry('b'));
    sender.put(entry('c'));
    await vi.runAllTimersAsync();
    expect(posts.flat()).toEqual(['a', 'b', 'c']);
    expect(learnt).toEqual(['a', 'b', 'c']);
    expect([sender.takeChange(), sender.takeChange()]).toEqual([true, false]);
    expect(kept.size).toBe(0);
  });

  it('keeps trying, also on the next page, and stores each once', async () => {
    server = () => new Error('no network');
    const first = new LogSender(person);
    first.start();
    first.put(entry('a'));
    await vi.advanceTimersByTimeAsync(10_000);
    expect(first.snapshot()).toMatchObject({ failures: 4, waiting: [{ entry: { id: 'a' } }] });
    server = (sent) => Response.json({ ok: true, value: { answers: sent.map(stored), items: [] } });
    const second = new LogSender(person);
    expect(second.entries().map((one) => one.id)).toEqual(['a']);
    second.start();
    second.put(entry('b'));
    await vi.runAllTimersAsync();
    expect(posts).toEqual([['a', 'b']]);
  });

  it('a server in trouble is one that is tried again, a refusal is not', async () => {
    server = () => new Response('', { status: 500 });
    const sender = new LogSender(person);
    sender.start();
    sender.put(entry('a'));
    await vi.advanceTimersByTimeAsync(500);
    expect(sender.snapshot()).toMatchObject({ failures: 1, stuck: null });
    const issues = [{ code: 'not-yours' as const, path: [], what: 'page' as const }];
    server = () => Response.json({ ok: false, issues }, { status: 401 });
    await vi.runAllTimersAsync();
    expect(sender.snapshot().stuck).toEqual({ id: 'a', issues });
    sender.leaveOut();
    expect(readWaiting(person)).toEqual([]);
  });

  it('takes up the one entry that an earlier version kept', () => {
    const body = { id: 'a', sessionId: 's', assignmentId: 'g', itemId: 'i', agoMs: 0, bpm: 60 };
    kept.set('mivvel outbox p', JSON.stringify({ entry: { kind: 'try', body }, madeAt: 5 }));
    expect(readWaiting(person)).toEqual([
      {
        entry: {
          kind: 'try',
          id: 'a',
          agoMs: 0,
          sessionId: 's',
          assignmentId: 'g',
          itemId: 'i',
          body: { bpm: 60 },
        },
        madeAt: 5,
      },
    ]);
    const said = { id: 'b', tryId: 'a', beat: 2 };
    kept.set(
      'mivvel outbox p',
      JSON.stringify({ entry: { kind: 'broke', body: said }, madeAt: 6 }),
    );
    expect(readWaiting(person)?.[0]?.entry).toEqual({
      kind: 'broke',
      id: 'b',
      agoMs: 0,
      about: 'a',
      body: { beat: 2 },
    });
  });

  it.each([
    ['no JSON', 'not json'],
    ['no list', '{"entry":{}}'],
    ['nothing', 'null'],
    ['an entry without its moment', '[{"entry": {"kind": "try", "id": "a"}}]'],
    ['a list of what is no entry', '[1, null, "a", {"madeAt": 3}, {"entry": {"kind": "try"}}]'],
  ])('finds nothing that waits in %s', (_, text) => {
    kept.set('mivvel log p', text);
    kept.set('mivvel outbox p', text);
    expect(readWaiting(person)).toEqual([]);
  });

  it('keeps what is an entry beside what is none, whatever it says', () => {
    const said = { entry: { kind: 'of a newer Mivvel', id: 'a', more: [1] }, madeAt: 7 };
    kept.set('mivvel log p', JSON.stringify([null, said, { entry: { id: 3 } }]));
    expect(readWaiting(person)).toEqual([said]);
  });
});
