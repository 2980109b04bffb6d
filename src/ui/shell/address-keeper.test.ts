import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { AddressKeeper } from './address-keeper';

let addresses: string[] = [];
let refuses = false;
let keeper: AddressKeeper;

beforeEach(() => {
  vi.useFakeTimers();
  addresses = [];
  refuses = false;
  keeper = new AddressKeeper((address) => {
    if (!refuses) addresses.push(address);
    return !refuses;
  });
});

afterEach(() => void vi.useRealTimers());

describe('AddressKeeper', () => {
  it('takes the first at once, and of a burst the last', () => {
    keeper.keep(() => '/1');
    vi.advanceTimersByTime(0);
    expect(addresses).toEqual(['/1']);
    for (const address of ['/2', '/3', '/4']) {
      keeper.keep(() => address);
      vi.advanceTimersByTime(20);
    }
    expect(addresses).toEqual(['/1']);
    vi.advanceTimersByTime(120);
    expect(addresses).toEqual(['/1', '/4']);
  });

  it('takes what waits when something may lead away, and once', () => {
    keeper.keep(() => '/1');
    keeper.take();
    keeper.take();
    vi.runAllTimers();
    expect(addresses).toEqual(['/1']);
  });

  it('makes an address late', () => {
    let made = 0;
    keeper.keep(() => `/${(made += 1)}`);
    expect(made).toBe(0);
    vi.runAllTimers();
    expect(addresses).toEqual(['/1']);
  });

  it('leaves the address as it is where there is none to make', () => {
    keeper.keep(() => null);
    vi.runAllTimers();
    expect(addresses).toEqual([]);
    expect(vi.getTimerCount()).toBe(0);
  });

  it('tries a refused address again, and the newest one where there is one', () => {
    refuses = true;
    keeper.keep(() => '/1');
    vi.advanceTimersByTime(500);
    expect(addresses).toEqual([]);
    keeper.keep(() => '/2');
    refuses = false;
    vi.runAllTimers();
    expect(addresses).toEqual(['/2']);
  });

  it('forgets what waits when the screen is left', () => {
    keeper.keep(() => '/1');
    keeper.forget();
    vi.runAllTimers();
    expect(addresses).toEqual([]);
  });
});
