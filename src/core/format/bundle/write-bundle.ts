import type { Family } from '../../family';
import type { Material } from '../../materials';
import type { Outline } from '../../program';
import type { ClosedRecipe } from '../../recipe';
import { BUNDLE_VERSION } from './version';

/** What goes into a bundle; what is left out is none. */
export interface Bundled {
  readonly materials?: readonly (Pick<
    Material,
    'id' | 'version' | 'name' | 'trains' | 'meter' | 'kind'
  > & {
    readonly content: unknown;
  })[];
  readonly exercises?: readonly { readonly name: string; readonly recipe: ClosedRecipe }[];
  readonly families?: readonly { readonly name: string; readonly family: Family }[];
  readonly programs?: readonly {
    readonly name: string;
    readonly outline: Outline;
    readonly recipes: Readonly<Record<string, ClosedRecipe>>;
  }[];
}

/** Writes a bundle of the format that is current; `readBundle` gives all of it back. */
export function writeBundle({
  materials = [],
  exercises = [],
  families = [],
  programs = [],
}: Bundled): string {
  const bundle = {
    format: 'mivvel',
    version: BUNDLE_VERSION,
    materials: materials.map(({ id, version, name, trains, meter, kind, content }) => {
      return { id, version, name, trains, meter, held: { kind, content } };
    }),
    exercises: exercises.map(({ name, recipe }) => ({ name, recipe })),
    families: families.map(({ name, family }) => ({ name, family })),
    programs: programs.map(({ name, outline, recipes }) => ({ name, outline, recipes })),
  };
  return `${JSON.stringify(bundle, null, 1)}\n`;
}
