/** Mail. */
export const letter = {
  reset: {
    subject: 'A new password for Mivvel',
    text: 'Somebody, probably you, asked for a new password. Set it here within {hours, plural, one {an hour} other {# hours}}:\n\n{link}\n\nIf it was not you, do nothing: your password stays as it is.',
  },
  invitation: {
    subject: '{studio} invites you to teach with Mivvel',
    text: 'You are invited to teach at {studio}. Set your name and password here within {days, plural, one {a day} other {# days}}:\n\n{link}',
  },
} as const;
