'use client';

import { useState, type ComponentProps } from 'react';
import { isOwnAddress } from './address';
import { Bench } from './bench';

/** The Bench at an address. Another address lays another exercise on it; the addresses that the
 * Bench gives itself while one edits leave it, with its undo, as it is. */
export function BenchRoom({
  address,
  ...bench
}: ComponentProps<typeof Bench> & { address: string }) {
  const [shown, setShown] = useState(address);
  if (address !== shown && !isOwnAddress(address)) setShown(address);
  return <Bench key={shown} {...bench} />;
}
