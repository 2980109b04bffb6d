'use client';

import { Button } from '@/ui/base';
import { Message } from '@/ui/shell';

export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  return (
    <Message title="Something went wrong, and it is our fault.">
      <p>What was saved is safe. Try the page again; if it breaks again, restart Mivvel.</p>
      <p>
        <Button look="main" onClick={reset}>
          Try again
        </Button>
      </p>
    </Message>
  );
}
