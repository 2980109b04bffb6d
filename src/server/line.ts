import { Server, type IncomingMessage, type ServerResponse } from 'node:http';
import { Gate } from './gate';
import { carrying } from './reached';
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
    gate.enter(() => {
      const reached = carrying(() => void emit.call(this, event, ...of));
      if (request.method === 'POST') saysWhoseFault(request, answer, reached);
    });
    return true;
  };
}

/** What cannot be read as a call of one of our actions is the sender's fault, not ours: Next answers 500 for both. */
function saysWhoseFault(
  { url = '' }: IncomingMessage,
  answer: ServerResponse,
  reached: { readonly action: boolean },
): void {
  if (url.startsWith('/api/')) return;
  const { writeHead } = answer as {
    writeHead: (status: number, ...of: unknown[]) => ServerResponse;
  };
  Object.assign(answer, {
    writeHead(status: number, ...of: unknown[]) {
      return writeHead.call(answer, status === 500 && !reached.action ? 400 : status, ...of);
    },
  });
}
