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
  'signedIn',
  'signInFailed',
  'signedOutEverywhere',
  'passwordChanged',
  'passwordReset',
  'invited',
  'joined',
  'left',
  'handedOver',
  'linkMade',
  'codeMade',
  'entryEnded',
  'readerLetIn',
  'tabletMade',
  'tabletEnded',
  'programShared',
  'exported',
  'erased',
] as const;
export type Audited = (typeof AUDITED)[number];

/** How long what lets in is good, and how long what is noted is kept; whatever says so says it from here. */
export const ACCESS = {
  /** Letters of a password; beyond the most, hashing it would take long. */
  password: { least: 10, most: 128 },
  /** How long a code waits to be typed, an invitation to be taken, a link to set a password. */
  codeDays: 3,
  invitationDays: 7,
  resetHours: 1,
  /** After how long without use somebody is signed out. A student's own device stays until teacher or student ends it,
   * or half a year of silence does; on the studio's tablet the day's lesson ends it. */
  restDays: { owner: 30, teacher: 30, student: 180 },
  tabletRestHours: 4,
  /** What happened, and mail that waits for the owner. */
  auditDays: 365,
  mailDays: 30,
} as const;
