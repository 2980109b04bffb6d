import * as z from 'zod/mini';
import type { AddedBy } from '../pattern';
import { placeSchema } from './add';
import { aimSchema } from './aim';
import { excerptSchema, onlySchema, openGracesSchema, plainSchema } from './build-up';
import { displaceSchema, pushSchema } from './displace';
import { handSchema } from './edit';
import { everyNthSchema } from './every-nth';
import { footingSchema } from './footing';
import { mirrorSchema } from './mirror';
import { orchestrateSchema } from './orchestrate';
import { giveSchema, revoiceSchema, swapFeetSchema } from './reassign';
import { reverseSchema } from './reverse';
import { substituteSchema } from './substitute';
import { thickenSchema, thinSchema } from './thicken';
import { turnSchema } from './turn-voices';

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
  handSchema,
]);

export type Change = z.infer<typeof changeSchema>;

/** Whether what added a layer is a change, as it stands in a recipe. */
export function isChange(added: AddedBy): added is Change {
  return changeSchema.safeParse(added).success;
}
