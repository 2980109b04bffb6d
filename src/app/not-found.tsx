import type { Metadata } from 'next';
import { buttonLook, Link } from '@/ui/base';
import { Message } from '@/ui/shell';
import { sayNow } from './language';

export async function generateMetadata(): Promise<Metadata> {
  return { title: (await sayNow()).t('screen.shell.notHere') };
}

export default async function NotFound() {
  const say = await sayNow();
  return (
    <Message title={say.t('screen.shell.nothingHere')}>
      <p>{say.t('screen.shell.notThere')}</p>
      <p>
        <Link href="/" className={buttonLook('main')}>
          {say.t('screen.shell.toTheStart')}
        </Link>
      </p>
    </Message>
  );
}
