import type { Metadata } from 'next';
import { EntryPage, Forgot } from '@/ui/entry';
import { forgot } from '../actions';
import { sayNow } from '../language';

export async function generateMetadata(): Promise<Metadata> {
  return { title: (await sayNow()).t('screen.entry.forgot') };
}

export default async function ForgotPage() {
  const say = await sayNow();
  return (
    <EntryPage say={say} title={say.t('screen.entry.forgot')}>
      <Forgot ask={forgot} />
    </EntryPage>
  );
}
