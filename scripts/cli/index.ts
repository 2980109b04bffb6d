/** The command line: the core and the use cases, without a browser. */
import { runCommandLine } from './command-line';
import { PROCESS } from './io';

// Whoever reads may have read enough.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EPIPE') process.exit(0);
  throw error;
});
process.exitCode = await runCommandLine(PROCESS, process.argv.slice(2));
