'use client';

import NextLink, { useLinkStatus } from 'next/link';
import type { ComponentProps } from 'react';

/** A link to another screen, which is asked for when the link is followed: asked for ahead, a list of forty students
 * was eighty questions to the server, each of which looks into the file. */
export function Link({ children, ...props }: Omit<ComponentProps<typeof NextLink>, 'prefetch'>) {
  return (
    <NextLink {...props} prefetch={false}>
      {children}
      <Coming />
    </NextLink>
  );
}

/** A line along the top of the window, where the screen is long in coming. */
function Coming() {
  return useLinkStatus().pending ? <span className="coming" aria-hidden /> : null;
}
