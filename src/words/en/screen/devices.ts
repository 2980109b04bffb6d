/** Where somebody is signed in. */
export const devices = {
  device: '{browser} {system}',
  onTablet: 'the studio’s tablet',
  signOut: 'Sign out',
  signOutElsewhere: 'Sign out everywhere else',
  signOutOn: 'Sign out on {device}',
  since: 'since {at}',
  none: 'None.',
  here: 'this one',
} as const;
