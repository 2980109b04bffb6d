'use client';

import { Loading as LoadingWord } from '../base';

/** What stands while a page is on its way. */
export function Loading() {
  return (
    <main className="px-6 py-10 text-soft">
      <p role="status">
        <LoadingWord />
      </p>
    </main>
  );
}
