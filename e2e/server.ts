import { spawn, type ChildProcess } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { freePort } from '../scripts/lib/port.mjs';

/** Mivvel on its own database file. */
export class App {
  #server: ChildProcess | null = null;
  #port = 0;
  #said = '';

  constructor(readonly folder: string) {}

  get url(): string {
    return `http://localhost:${this.#port}`;
  }

  /** Memory that its process holds, in MB (Linux). */
  memoryMb(): number {
    const status = readFileSync(`/proc/${this.#server?.pid}/status`, 'utf8');
    return Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024;
  }

  /** The code that it says where it runs, with which studios are set up. */
  async setupCode(): Promise<string> {
    for (;;) {
      const [, code] = /\/setup\?code=(\w+)/.exec(this.#said) ?? [];
      if (code !== undefined) return code;
      if (!this.#server) throw new Error('Mivvel does not run');
      await new Promise((heard) => this.#server?.stdout?.once('data', heard));
    }
  }

  /** Starts it, on the same port again after a crash. */
  async start(): Promise<void> {
    if (this.#port === 0) this.#port = await freePort();
    this.#said = '';
    // A connection that is let go after seconds of rest may be just about to be asked again.
    const args = ['start', '-p', String(this.#port), '--keepAliveTimeout', '65000'];
    const server = spawn('node_modules/.bin/next', args, {
      stdio: ['ignore', 'pipe', 'inherit'],
      env: { ...process.env, MIVVEL_DATA: this.folder, NEXT_TELEMETRY_DISABLED: '1' },
    });
    this.#server = server;
    await new Promise<void>((resolve, reject) => {
      server.stdout?.on('data', (chunk) => {
        this.#said += String(chunk);
        if (this.#said.includes('Ready')) resolve();
      });
      server.on('exit', () => reject(new Error('Mivvel did not start')));
    });
  }

  async stop(signal: NodeJS.Signals = 'SIGTERM'): Promise<void> {
    const server = this.#server;
    this.#server = null;
    if (!server || server.exitCode !== null) return;
    const gone = new Promise((resolve) => server.once('exit', resolve));
    server.kill(signal);
    await gone;
  }
}
