import * as z from 'zod/mini';
import { readBundle } from '@/core/format';
import type { Result } from '@/core/issue';
import type { BundleSummary, Imported } from '@/core/studio';
import { importBundle, lookIntoBundle } from '@/server';
import { teacherRoute } from '../../act';

const sent = z.object({
  /** The file as it is; whoever reads it says what is too long. */
  text: z.string(),
  /** `look`: what it would bring; `take`: it comes in. */
  act: z.enum(['look', 'take']),
});

/** A bundle that comes in, whole or not at all. A route, for files are larger than an action may be. */
export const POST = teacherRoute(
  sent,
  (me, { text, act }): Result<BundleSummary | Imported> => {
    const bundle = readBundle(text);
    if (!bundle.ok) return bundle;
    return act === 'look' ? lookIntoBundle(me, bundle.value) : importBundle(me, bundle.value);
  },
  { changes: true },
);
