import type { Metadata } from 'next';
import { getAccount, liveContext } from '@/server';
import { OwnDevices } from '@/ui/account';
import { endElsewhere, endOn } from '../../devices/actions';
import { sayNow } from '../../language';
import { studentVisit } from '../../viewer';
import { StudentBar } from '../student-bar';

export async function generateMetadata(): Promise<Metadata> {
  return { title: (await sayNow()).t('screen.shell.devices') };
}

/** Where a student is signed in: a phone that was lost, a tablet at school. */
export default async function DevicesPage() {
  const { name, viewer } = await studentVisit();
  const { devices } = getAccount(liveContext(), viewer);
  return (
    <>
      <StudentBar who={name} />
      <OwnDevices devices={devices} endOn={endOn} endElsewhere={endElsewhere} />
    </>
  );
}
