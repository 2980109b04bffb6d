import { Server, type IncomingMessage, type ServerResponse } from 'node:http';
import { Gate } from './gate';
import { readSettings } from './settings';

/** Requests that are let in in one turn. */
const AT_ONCE = 16;

const held = globalThis as { mivvelGate?: Gate };

/** From now on every request of this process stands in one line, whatever it asks for: whoever comes first is served
 * first, and newcomers are seen however many write without pause. When the process is to stop, connections end with
 * the answer that they wait for. Where a request comes from is what its connection says. */
export function standInLine(): void {
  if (held.mivvelGate) return;
  const gate = (held.mivvelGate = new Gate(AT_ONCE));
  const trustsProxy = readSettings(process.env).MIVVEL_PROXY === 'yes';
  const answering = new Set<ServerResponse>();
  let stops = false;
  process.once('SIGTERM', () => {
    stops = true;
    for (const one of answering) one.shouldKeepAlive = false;
  });
  const prototype = Server.prototype as { emit: (event: string, ...of: unknown[]) => boolean };
  const { emit } = prototype;
  prototype.emit = function (event: string, ...of: unknown[]): boolean {
    if (event !== 'request') return emit.call(this, event, ...of);
    const [request, answer] = of as [IncomingMessage, ServerResponse];
    // Only a proxy of ours may say who it asks for: anybody else could take on a new address for each try.
    if (!trustsProxy) request.headers['x-forwarded-for'] = request.socket.remoteAddress ?? '';
    answering.add(answer);
    answer.once('close', () => answering.delete(answer));
    if (stops) answer.shouldKeepAlive = false;
    gate.enter(() => void emit.call(this, event, ...of));
    return true;
  };
}
