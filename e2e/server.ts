import { spawn, type ChildProcess } from 'node:child_process';
import { freePort } from '../scripts/lib/port.mjs';

/** Mivvel on its own database file. */
export class App {
  #server: ChildProcess | null = null;
  #port = 0;

  constructor(readonly folder: string) {}

  get url(): string {
    return `http://localhost:${this.#port}`;
  }

  /** Starts it, on the same port again after a crash. */
  async start(): Promise<void> {
    if (this.#port === 0) this.#port = await freePort();
    const server = spawn('node_modules/.bin/next', ['start', '-p', String(this.#port)], {
      stdio: ['ignore', 'pipe', 'inherit'],
      env: { ...process.env, MIVVEL_DATA: this.folder, NEXT_TELEMETRY_DISABLED: '1' },
    });
    this.#server = server;
    await new Promise<void>((resolve, reject) => {
      server.stdout?.on('data', (chunk) => String(chunk).includes('Ready') && resolve());
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
