import { notFound } from 'next/navigation';
import type { Result } from '@/core/issue';

/** The value of a use case that only reads; what is not there, or not the viewer's, is a 404. */
export function found<T>(result: Result<T>): T {
  return result.ok ? result.value : notFound();
}

/** An id from the address; anything that cannot be one is a 404. */
export function idOr404<T>(id: T | null): T {
  return id ?? notFound();
}
