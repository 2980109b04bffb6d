'use client';

import dynamic from 'next/dynamic';

// They stand behind a touch, so the first view does without them; what lies under them stays meanwhile.
const loading = () => null;

export const ChangeEditor = dynamic(
  () => import('./change-editor').then((editors) => editors.ChangeEditor),
  { loading },
);
export const AsEditor = dynamic(() => import('./as-phrase').then((editors) => editors.AsPhrase), {
  loading,
});
export const StickingEditor = dynamic(
  () => import('./sticking-phrase').then((editors) => editors.StickingPhrase),
  { loading },
);
