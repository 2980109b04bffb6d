import * as z from 'zod/mini';
import { keptFamilySchema } from '../../family';
import { heldSchema } from '../../materials';
import { outlineSchema } from '../../program';
import { keptRecipeSchema } from '../../recipe';
import { list, text, typedText, whole } from '../../shape';
import { BUNDLE_VERSION } from './version';

const name = typedText(80);

/** Everything that a studio made and that belongs to nobody: exercises, families of variations, programs and
 * own materials. Recipes are
 * closed, so that a bundle plays the same wherever it is opened. */
export const bundleSchema = z.strictObject({
  format: z.literal('mivvel'),
  version: z.literal(BUNDLE_VERSION),
  materials: list(
    z.strictObject({
      /** Names it inside of the recipes of this bundle. */
      id: text(60),
      version: whole(1),
      name,
      trains: text(80),
      meter: z.nullable(text(20)),
      held: heldSchema,
    }),
    0,
    5000,
  ),
  exercises: list(z.strictObject({ name, recipe: keptRecipeSchema }), 0, 5000),
  families: list(z.strictObject({ name, family: keptFamilySchema }), 0, 1000),
  programs: list(
    z.strictObject({
      name,
      outline: outlineSchema,
      /** By the ids of the outline's items. */
      recipes: z.record(text(60), keptRecipeSchema),
    }),
    0,
    1000,
  ),
});
