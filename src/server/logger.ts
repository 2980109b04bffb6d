import pino, { type Logger } from 'pino';
import { readSettings } from './settings';

let made: Logger | undefined;

/** Where the server says what happens, a line of JSON each: no names, nothing that was sent, no cookies. */
export function logger(): Logger {
  made ??= pino({
    level: readSettings(process.env).MIVVEL_LOG,
    base: undefined,
    timestamp: pino.stdTimeFunctions.isoTime,
    redact: ['*.name', '*.cookie', '*.headers', '*.body'],
  });
  return made;
}
