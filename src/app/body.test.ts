import { describe, expect, it } from 'vitest';
import { jsonOf, mostBytesAt } from './body';

const AT = 'http://localhost/api/address';

/** A body that comes in pieces without saying how long it is, and tells how many were asked for. */
function streamed(pieces: number, size: number) {
  let sent = 0;
  const body = new ReadableStream<Uint8Array>({
    pull(controller) {
      sent += 1;
      controller.enqueue(new Uint8Array(size).fill(0x20));
      if (sent === pieces) controller.close();
    },
  });
  const request = new Request(AT, { method: 'POST', body, duplex: 'half' } as RequestInit);
  return { request, sent: () => sent };
}

describe('what a door takes', () => {
  it('JSON as it is; anything else is nothing', async () => {
    const of = (body: string) => jsonOf(new Request(AT, { method: 'POST', body }));
    expect(await of('{"address":"ü"}')).toEqual({ ok: true, value: { address: 'ü' } });
    expect(await of('{')).toEqual({ ok: true, value: undefined });
    expect(await jsonOf(new Request(AT))).toEqual({ ok: true, value: undefined });
  });

  it('what says that it is too long is not read', async () => {
    const most = mostBytesAt('/api/address');
    const { request, sent } = streamed(3, 10);
    request.headers.set('content-length', String(most + 1));
    expect(await jsonOf(request)).toMatchObject({ ok: false, issues: [{ code: 'body-large' }] });
    expect(sent()).toBeLessThanOrEqual(1);
  });

  it('what does not say so is read until it is too long, and no further', async () => {
    const { request, sent } = streamed(1_000_000, 1000);
    expect(await jsonOf(request)).toEqual({
      ok: false,
      issues: [{ code: 'body-large', path: [], most: 0.004 }],
    });
    expect(sent()).toBeLessThan(10);
  });
});
