import { familyOf, readFamily, type Family } from '@/core/family';
import type { Issue } from '@/core/issue';
import { blankRecipe, readLink, unpackLink } from '@/core/recipe';
import { parseId } from '@/core/studio';
import { getFamily, listFamilies, listMaterials, listPractised, listPrograms } from '@/server';
import { Variations, type FamilyDraft } from '@/ui/variations';
import { found, teacherVisit } from '../../viewer';
import { saveRules } from '../bench/actions';
import { archive, save, send } from './actions';
import { titled } from '../../language';

export const generateMetadata = titled('variations');

/** A family, not yet checked, in which a change runs through what the address says. */
function ranging(family: Family, at: string, range: string): unknown {
  const values = parseJson(range);
  return { ...family, axes: [{ at: 'change', index: Number(at), values: [values] }] };
}

function parseJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

type Query = Readonly<Record<string, string | string[] | undefined>>;

/** `f` is a saved family, `p` one packed into the address, `n` its name, `r` a recipe to begin with; `range` is
 * what its change at `at` runs through. */
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
    const begun = recipe.ok ? familyOf(recipe.value) : null;
    const read =
      begun && text('range') ? readFamily(ranging(begun, text('at'), text('range'))) : null;
    if (read?.ok) draft = { ...draft, family: read.value };
    else if (begun) draft = { ...draft, family: begun };
    if (!recipe.ok) issues.push(...recipe.issues);
    if (read && !read.ok) issues.push(...read.issues);
  }
  return (
    <Variations
      key={`${text('f')} ${text('p')} ${text('r')} ${text('range')}`}
      draft={draft}
      saved={saved}
      families={found(listFamilies(me))}
      programs={found(listPrograms(me))}
      practised={found(listPractised(me))}
      own={found(listMaterials(me))}
      issues={issues}
      actions={{ save, archive, saveRules, send }}
    />
  );
}
