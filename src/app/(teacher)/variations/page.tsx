import { familyOf, readFamily } from '@/core/family';
import type { Issue } from '@/core/issue';
import { blankRecipe, readLink, unpackLink } from '@/core/recipe';
import { parseId } from '@/core/studio';
import { getFamily, listFamilies, listMaterials, listPractised, listPrograms } from '@/server';
import { Variations, type FamilyDraft } from '@/ui/variations';
import { found, teacherVisit } from '../../viewer';
import { archive, save, send } from './actions';
import { titled } from '../../language';

export const generateMetadata = titled('variations');

type Query = Readonly<Record<string, string | string[] | undefined>>;

/** `f` is a saved family, `p` one packed into the address, `n` its name, `r` a recipe to begin with. */
export default async function VariationsPage({ searchParams }: { searchParams: Promise<Query> }) {
  const { me } = await teacherVisit();
  const query = await searchParams;
  const text = (key: string) => (typeof query[key] === 'string' ? query[key] : '');
  const issues: Issue[] = [];
  const id = parseId<'family'>(text('f'));
  const stored = id === null ? null : getFamily(me, id);
  let saved: FamilyDraft | null = null;
  let draft: FamilyDraft = { id: null, name: text('n'), family: familyOf(blankRecipe()) };
  if (stored?.ok) {
    saved = stored.value;
    draft = saved;
  } else if (text('f')) issues.push({ code: 'not-found', path: [], what: 'family' });
  if (text('p')) {
    const packed = unpackLink(text('p'));
    const read = packed.ok ? readFamily(packed.value) : packed;
    if (read.ok) draft = { ...draft, name: text('n') || draft.name, family: read.value };
    else issues.push(...read.issues);
  } else if (text('r')) {
    const recipe = readLink(text('r'));
    if (recipe.ok) draft = { ...draft, family: familyOf(recipe.value) };
    else issues.push(...recipe.issues);
  }
  return (
    <Variations
      key={`${text('f')} ${text('p')} ${text('r')}`}
      draft={draft}
      saved={saved}
      families={found(listFamilies(me))}
      programs={found(listPrograms(me))}
      practised={found(listPractised(me))}
      own={found(listMaterials(me))}
      issues={issues}
      actions={{ save, archive, send }}
    />
  );
}
