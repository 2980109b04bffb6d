/** What a plan cannot hold, what would help, and what loads ears and limbs. */
export const plan = {
  unfit: {
    'no-kit':
      '{count, plural, one {{names} needs} other {{names} need}} the kit, and no day has one. Set a day to kit, or leave it out.',
    'too-long':
      '{name}: one try takes at least {needs, number} min, and the longest stretch is {has, number} min. Give it a shorter dosage, or a day more minutes.',
    lateDrop: 'Not by {target}: {names}. Without {drop} the others are.',
    late: 'Not by {target}: {names}. Drop {count, plural, one {it} other {them}}, add minutes or days, or set a later date.',
    'not-begun':
      'Not begun within {weeks, plural, one {# week} other {# weeks}}: {names}. Add minutes, or drop what can wait.',
  },
  help: {
    day: '{minutes, number} min on {weekday} too: {gain}',
    minutes: '{more, number} min more a day: {gain}',
    keeps: 'Every planned day kept: {gain}',
    fewer: 'Without {name}: {gain}',
    'smaller-step': 'Half the step for {name}: {gain}',
    'fewer-clean':
      '{clean, plural, one {1 clean try} other {# clean in a row}} instead of {was, number} for {name}: {gain}',
    'last-tries':
      '{clean, number} of the last {of, number} clean, not in a row, for {name}: {gain}',
    'lower-target':
      'The target of {name} lower by {rungs, plural, one {# rung} other {# rungs}}: {gain}',
    'lower-targets':
      '{percent, plural, =0 {All ladders ending where they stand} other {Only #% of the rungs left of each ladder}}: {gain}',
  },
  gain: {
    reached: 'reached by {day}',
    days: '{days, plural, one {# day} other {# days}} earlier',
    weeks: '{weeks, plural, one {# week} other {# weeks}} earlier',
  },
  date: '{weekday} {day}',
  minutes: '{minutes, number} min',
  missed: 'Missed: {dates}. Rescheduled from today.',
  missedSince: '{count, number} days since {date}',
  kind: { 'warm-up': 'warm-up', new: 'new', review: 'review', break: 'break' },
  more: '{count, number} more',
  range: {
    none: 'not within half a year',
    today: 'today',
    orLater: '{from} or later, mostly after half a year',
    openEnd: '{from} or later, in the middle {middle}',
    to: '{from} to {to}',
  },
  safety: {
    hearing: 'Wear hearing protection at the kit, and keep to local noise rules.',
    breaks: 'Take a break every half hour.',
    pain: 'Stop on pain, numbness or tingling, and see a licensed health professional.',
    load: 'The {limb} plays {perSecond, number, ::.0} a second at {bpm, number}, above {limit, number}: short tries, with breaks; stop on pain.',
    'in-a-row':
      'The {limb} works {minutes, number} min in a row, {strokes, number} strokes: rest it in between; stop on pain.',
    dose: '{minutes, number} min at {level, number} dBA{pad, plural, =0 { is} other { and # min on the pad at {padLevel, number} dBA are}} {times, number, ::.0} times the noise allowed in a day; {allowed, plural, =0 {less than a minute} other {# min}} is allowed at the kit. {over, select, yes {More than {ceiling, number} dBA is too loud for any time. } other {}}{protected, select, no {Wear hearing protection, or play part of it on the pad.} other {Use better hearing protection, or play part of it on the pad.}}',
  },
  protection: { none: 'none', foam: 'foam plugs', plugs: 'other plugs', muffs: 'earmuffs' },
} as const;
