import { isIP } from 'node:net';
import { networkInterfaces } from 'node:os';

const held = globalThis as {
  /** Names under which studios of this file are reached, as their teachers have set them. */
  mivvelHosts?: Set<string>;
};

/** A name under which the studio is reached from now on, besides those of the environment. */
export function knowAddress(address: string | null): void {
  const name = address === null ? null : nameOf(hostOf(address) ?? '');
  if (name) (held.mivvelHosts ??= new Set()).add(name);
}

function hostOf(url: string): string | null {
  return URL.canParse(url) ? new URL(url).host : null;
}

/** A host's name, without its port and without the brackets of IPv6. */
function nameOf(host: string): string {
  const bare = host.startsWith('[') ? host.slice(1, host.indexOf(']')) : host.split(':')[0];
  return (bare ?? '').toLowerCase().replace(/\.$/, '');
}

/** Whether a request is for us: `localhost`, an address in numbers, or a name that is the studio's own. Any other name
 * may be somebody else's, made to lead here so that their page can read what is ours.
 * @param host as the request has it, with its port
 * @param named names that whoever runs Mivvel has given, in small letters
 * @example isOurHost('192.168.0.7:3000', []) // => true; isOurHost('evil.example', []) // => false */
export function isOurHost(host: string | null, named: readonly string[]): boolean {
  const name = nameOf(host ?? '');
  if (name === 'localhost' || name.endsWith('.localhost') || isIP(name) !== 0) return true;
  return named.includes(name) || (held.mivvelHosts?.has(name) ?? false);
}

/** Whether an origin leads here for certain: a name that we were told, `localhost`, or an address of this computer. Who
 * asks by any number asks us and is answered; but a link that goes into somebody's mail must not lead where whoever
 * asked for it says.
 * @example isCertainOrigin('http://203.0.113.5:3000', []) // => false, where this computer has another address */
export function isCertainOrigin(origin: string, named: readonly string[]): boolean {
  const host = hostOf(origin);
  const name = nameOf(host ?? '');
  if (isIP(name) === 0) return isOurHost(host, named);
  return Object.values(networkInterfaces()).some((all) =>
    (all ?? []).some(({ address }) => address.toLowerCase() === name),
  );
}

/** Whether a page of ours sent it: its origin is the host it was sent to, port included. */
export function isOurOrigin(origin: string | null, host: string | null): boolean {
  return origin !== null && host !== null && hostOf(origin) === host.toLowerCase();
}

/** Where others on the network may reach this computer, when it was asked by a name that leads to itself alone.
 * @param origin where it was asked
 * @returns origins with the same port; none where it was asked by any other name */
export function originsForOthers(origin: string): readonly string[] {
  const { hostname, port, protocol } = new URL(origin);
  const isOwn = /^(localhost|127\.[\d.]+|\[::1\])$/.test(hostname);
  if (!isOwn) return [];
  return Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => `${protocol}//${address}${port === '' ? '' : `:${port}`}`);
}
