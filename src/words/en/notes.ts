/** Names of note values, American and British, and what they make. */
export const notes = {
  american: {
    eighths: '8ths',
    sixteenth: '16th',
    sixteenths: '16ths',
    eighthTriplets: '8th triplets',
    note4: 'quarter',
    note8: '8th',
    note16: '16th',
    '4': '{count, plural, one {a quarter} other {# quarters}}',
    '8': '{count, plural, one {an 8th} other {# 8ths}}',
    '16': '{count, plural, one {a 16th} other {# 16ths}}',
    '32': '{count, plural, one {a 32nd} other {# 32nds}}',
  },
  british: {
    eighths: 'quavers',
    sixteenth: 'semiquaver',
    sixteenths: 'semiquavers',
    eighthTriplets: 'quaver triplets',
    note4: 'crotchet',
    note8: 'quaver',
    note16: 'semiquaver',
    '4': '{count, plural, one {a crotchet} other {# crotchets}}',
    '8': '{count, plural, one {a quaver} other {# quavers}}',
    '16': '{count, plural, one {a semiquaver} other {# semiquavers}}',
    '32': '{count, plural, one {a demisemiquaver} other {# demisemiquavers}}',
  },
} as const;
