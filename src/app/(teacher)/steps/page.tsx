import type { Issue } from '@/core/issue';
import { readLink } from '@/core/recipe';
import { getSteps, listPrograms } from '@/server';
import { Steps } from '@/ui/steps';
import { found, teacherVisit } from '../../viewer';
import { send } from '../variations/actions';
import { setTemplate } from './actions';
import { titled } from '../../language';

export const generateMetadata = titled('steps');

type Query = Readonly<Record<string, string | string[] | undefined>>;

/** `r` is the recipe that is built up, `n` its name. */
export default async function StepsPage({ searchParams }: { searchParams: Promise<Query> }) {
  const { me } = await teacherVisit();
  const { r: link, n: name } = await searchParams;
  const read = typeof link === 'string' ? readLink(link) : null;
  const issues: readonly Issue[] = read && !read.ok ? read.issues : [];
  return (
    <Steps
      key={String(link)}
      recipe={read?.ok ? read.value : null}
      name={typeof name === 'string' ? name : ''}
      usual={getSteps(me)}
      programs={found(listPrograms(me))}
      issues={issues}
      actions={{ send, setTemplate }}
    />
  );
}
