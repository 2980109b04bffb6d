import { Server } from 'node:http';
import { Gate } from './gate';

/** Requests that are let in in one turn. */
const AT_ONCE = 16;

const held = globalThis as { mivvelGate?: Gate };

/** From now on every request of this process stands in one line, whatever it asks for: whoever comes first is served
 * first, and newcomers are seen however many write without pause. */
export function standInLine(): void {
  if (held.mivvelGate) return;
  const gate = (held.mivvelGate = new Gate(AT_ONCE));
  const prototype = Server.prototype as { emit: (event: string, ...of: unknown[]) => boolean };
  const { emit } = prototype;
  prototype.emit = function (event: string, ...of: unknown[]): boolean {
    if (event !== 'request') return emit.call(this, event, ...of);
    gate.enter(() => void emit.call(this, event, ...of));
    return true;
  };
}
