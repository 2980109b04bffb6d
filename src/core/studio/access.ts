/** Who belongs to a studio, and as what: the owner lets teachers in and out, teachers teach, students play. */
export const ROLES = ['owner', 'teacher', 'student'] as const;
export type Role = (typeof ROLES)[number];

/** What opens something to whoever holds it. */
export const PASS_KINDS = ['student', 'code', 'reader', 'teacher', 'program', 'calendar'] as const;
export type PassKind = (typeof PASS_KINDS)[number];

/** What the owner can look up afterwards. */
export const AUDITED = [
  'opened',
  'claimed',
  'signed-in',
  'sign-in-failed',
  'signed-out-everywhere',
  'password-changed',
  'password-reset',
  'invited',
  'joined',
  'left',
  'link-made',
  'code-made',
  'entry-ended',
  'reader-let-in',
  'tablet-made',
  'tablet-ended',
  'program-shared',
  'exported',
  'erased',
] as const;
export type Audited = (typeof AUDITED)[number];
