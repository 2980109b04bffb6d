'use client';

import { useEffect } from 'react';
import * as sonner from 'sonner';
import { showToasts } from './toast';

/** Passing messages lie above the bars at the foot of screens, whose buttons they would cover. Pixels. */
const ABOVE_BARS = 96;

/** Passing messages look like the rest of the house. */
const TOAST = {
  style: {
    background: 'var(--sheet)',
    color: 'var(--ink)',
    border: '1px solid var(--soft)',
    borderRadius: 3,
    fontFamily: 'var(--font-sans)',
    fontSize: '0.95rem',
  },
  actionButtonStyle: { background: 'var(--ink)', color: 'var(--paper)', borderRadius: 3 },
} as const;

/** Where passing messages are shown. */
export function Toasts({ label, close }: { label: string; close: string }) {
  useEffect(() => showToasts(sonner), []);
  return (
    <sonner.Toaster
      containerAriaLabel={label}
      position="bottom-right"
      offset={{ bottom: ABOVE_BARS }}
      toastOptions={{ ...TOAST, closeButtonAriaLabel: close }}
    />
  );
}
