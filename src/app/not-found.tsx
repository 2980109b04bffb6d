import type { Metadata } from 'next';
import Link from 'next/link';
import { buttonLook } from '@/ui/base';
import { Message } from '@/ui/shell';

export const metadata: Metadata = { title: 'Not here' };

export default function NotFound() {
  return (
    <Message title="Nothing here.">
      <p>This page does not exist, or has been removed.</p>
      <p>
        <Link href="/" className={buttonLook('main')}>
          To the start
        </Link>
      </p>
    </Message>
  );
}
