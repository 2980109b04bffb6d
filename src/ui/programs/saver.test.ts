import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { samples } from '@/samples.fixture';
import { fail, ok, type Result } from '@/core/issue';
import { Saver } from './saver';

type Answer = 'stored' | 'refused' | 'unreached';

/** A server that answers when it is told to. */
class Server {
  stored = 'first';
  revision = 1;
  busy = 0;
  most = 0;
  readonly asked: string[] = [];
  #answer: ((answer: Answer) => void) | null = null;

  readonly save = async (
    draft: string,
    revision: number,
  ): Promise<Result<{ revision: number }>> => {
    this.busy += 1;
    this.most = Math.max(this.most, this.busy);
    this.asked.push(draft);
    expect(revision).toBe(this.revision);
    const answer = await new Promise<Answer>((resolve) => (this.#answer = resolve));
    this.busy -= 1;
    if (answer === 'unreached') throw new Error('no network');
    if (answer === 'refused')
      return fail({ code: 'tempo', path: [], text: draft, least: 20, most: 400 });
    this.stored = draft;
    this.revision += 1;
    return ok({ revision: this.revision });
  };

  /** Answers what waits, if anything does. */
  async answer(answer: Answer): Promise<boolean> {
    const resolve = this.#answer;
    this.#answer = null;
    resolve?.(answer);
    for (let n = 0; n < 8; n += 1) await Promise.resolve();
    return resolve !== null;
  }
}

function begin() {
  const server = new Server();
  const revisions: number[] = [];
  const saver = new Saver<string, { revision: number }>('first', 1, server.save, ({ revision }) =>
    revisions.push(revision),
  );
  return { server, saver, revisions, now: () => saver.snapshot() };
}

describe('a saver', () => {
  it('stores each change, one at a time, and the latest of those that came meanwhile', async () => {
    const { server, saver, revisions, now } = begin();
    expect(now().status).toBe('fresh');
    for (const draft of ['a', 'b', 'c']) saver.change(draft);
    expect(now().status).toBe('saving');
    await server.answer('stored');
    expect(server.asked).toEqual(['a', 'c']);
    await server.answer('stored');
    expect(now()).toEqual({ status: 'saved', issues: [], stored: 'c' });
    expect(revisions).toEqual([2, 3]);
  });

  it('keeps what is refused with its reason, until a change is stored', async () => {
    const { server, saver, now } = begin();
    saver.change('a');
    await server.answer('refused');
    expect(now()).toMatchObject({
      status: 'refused',
      stored: 'first',
      issues: [{ code: 'tempo' }],
    });
    saver.change('b');
    expect(now()).toMatchObject({ status: 'saving', issues: [{ code: 'tempo' }] });
    await server.answer('stored');
    expect(now()).toEqual({ status: 'saved', issues: [], stored: 'b' });
  });

  it('waits without a network, and sends the latest when it is told to', async () => {
    const { server, saver, now } = begin();
    saver.change('a');
    await server.answer('unreached');
    expect(now().status).toBe('unreached');
    saver.retry();
    saver.change('b');
    await server.answer('unreached');
    expect(server.asked).toEqual(['a', 'a']);
    saver.retry();
    await server.answer('stored');
    expect(now()).toMatchObject({ status: 'saved', stored: 'b' });
  });

  it('tells nobody any more who has left', async () => {
    const { server, saver } = begin();
    let told = 0;
    const leave = saver.subscribe(() => (told += 1));
    saver.change('a');
    const before = told;
    leave();
    await server.answer('stored');
    expect([before > 0, told]).toEqual([true, before]);
  });

  it('whatever comes, the last draft is stored in the end, and never two at once', async () => {
    const step = fc.oneof(
      fc.record({ change: fc.stringMatching(/^[a-z]{1,4}$/) }),
      fc.record({ answer: fc.constantFrom<Answer>('stored', 'refused', 'unreached') }),
      fc.constant({ retry: true } as const),
    );
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 30 }), async (steps) => {
        const { server, saver, now } = begin();
        let last = 'first';
        for (const one of steps) {
          if ('change' in one) saver.change((last = one.change));
          else if ('answer' in one) await server.answer(one.answer);
          else saver.retry();
        }
        saver.change((last = `${last}!`));
        saver.retry();
        while (await server.answer('stored'));
        expect(now()).toMatchObject({ status: 'saved', stored: last });
        expect(server.stored).toBe(last);
        expect(server.most).toBe(1);
      }),
      { numRuns: samples(200) },
    );
  });
});
