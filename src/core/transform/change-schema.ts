import * as z from 'zod/mini';
import { placeSchema } from './add-schema';
import { aimSchema } from './aim-schema';
import {
  excerptSchema,
  graceWidthSchema,
  onlySchema,
  openGracesSchema,
  plainSchema,
} from './build-up-schema';
import { displaceSchema, pushSchema } from './displace-schema';
import { handSchema } from './edit-schema';
import { everyNthSchema } from './every-nth-schema';
import { footingSchema } from './footing-schema';
import { mirrorSchema } from './mirror-schema';
import { orchestrateSchema } from './orchestrate-schema';
import { giveSchema, revoiceSchema, swapFeetSchema } from './reassign-schema';
import { reverseSchema } from './reverse-schema';
import { substituteSchema } from './substitute-schema';
import { thickenSchema, thinSchema } from './thicken-schema';
import { turnSchema } from './turn-voices-schema';

/** One change of the whole or of a part, in the order of the sentence. Add a kind here. */
export const changeSchema = z.discriminatedUnion('kind', [
  displaceSchema,
  mirrorSchema,
  reverseSchema,
  pushSchema,
  swapFeetSchema,
  footingSchema,
  giveSchema,
  revoiceSchema,
  substituteSchema,
  turnSchema,
  everyNthSchema,
  placeSchema,
  thickenSchema,
  thinSchema,
  orchestrateSchema,
  aimSchema,
  onlySchema,
  excerptSchema,
  plainSchema,
  openGracesSchema,
  graceWidthSchema,
  handSchema,
]);

export type Change = z.infer<typeof changeSchema>;
