import { spawn } from 'node:child_process';
import { fileURLToPath } from 'node:url';

/** The project's folder. */
export const ROOT = fileURLToPath(new URL('../..', import.meta.url));

export const QUIET = { NEXT_TELEMETRY_DISABLED: '1', npm_config_update_notifier: 'false' };

/** Runs a command in the project's folder with the output shown. Resolves to its exit code. */
export function run(command, args, env = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd: ROOT,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, ...QUIET, ...env },
    });
    child.on('error', (error) => {
      console.error(`${command}: ${error.message}`);
      resolve(127);
    });
    child.on('exit', (code) => resolve(code ?? 1));
  });
}

/** A command that came with the project's packages, without npm in between. */
export function bin(name) {
  return `${ROOT}/node_modules/.bin/${name}`;
}

/** Says what is to be done when a step fails, and stops. */
export function stop(message) {
  console.error(message);
  process.exit(1);
}
