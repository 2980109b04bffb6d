import type { Result } from '@/core/issue';

/** Sets where the studio is reached by others. @returns what is kept of it; empty takes it away */
export async function postAddress(address: string): Promise<Result<string | null>> {
  const headers = { 'content-type': 'application/json' };
  const body = JSON.stringify({ address });
  const response = await fetch('/api/address', { method: 'POST', headers, body });
  return (await response.json()) as Result<string | null>;
}
