import { ok } from '../issue';
import { onsets } from '../reading';
import { strokeOn } from './grid-place';
import type { Interpretation } from './types';
import type { VerbatimOptions } from './verbatim-schema';

/** The line as written, every attack on one limb and voice. */
export const verbatim: Interpretation<VerbatimOptions> = {
  kind: 'verbatim',
  reads: 'voices',
  claims: ({ on }) => [on.limb],
  reassign: (options, to) => ({ ...options, on: to(options.on) }),
  play: (line, { on }) => ok(onsets(line).map((onset) => strokeOn(onset, on, 'normal'))),
};
