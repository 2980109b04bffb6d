import type { Metadata } from 'next';
import { getAccount, getOwned, liveContext } from '@/server';
import { Account } from '@/ui/account';
import { sayNow } from '../../language';
import { ownerVisit, teacherVisit } from '../../viewer';
import { endElsewhere, endOn } from '../../devices/actions';
import * as actions from './actions';

export async function generateMetadata(): Promise<Metadata> {
  return { title: (await sayNow()).t('screen.account.account') };
}

/** Whoever teaches looks after their own account here; the owner after everybody who gets in. */
export default async function AccountPage() {
  const { name, viewer } = await teacherVisit();
  const owner = await ownerVisit();
  return (
    <Account
      name={name}
      account={getAccount(liveContext(), viewer)}
      owned={owner && getOwned(owner)}
      actions={{ ...actions, endElsewhere, endOn }}
    />
  );
}
