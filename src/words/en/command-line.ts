/** What the command line says. */
export const commandLine = {
  mivvel: 'Works on exercises, files and studios from the command line.',
  ends: 'Ends with 0; with 1 where what was given is wrong; with 2 where the command was.',
  example: 'Example: {command}',
  json: 'what is wrong, and what is found in words otherwise, as JSON',
  data: 'folder that holds mivvel.sqlite',
  studio: 'which studio, where the file holds several',
  does: {
    expand:
      'A recipe, a family or a bundle: each exercise with strokes and analysis as a line of JSON. - is standard input.',
    parse: 'What a typed text may mean, a line of JSON for each. - is standard input.',
    check: 'What is in a file, and what is wrong with it: JSON, MusicXML, MIDI.',
    export:
      'A program, or the exercises of a file, as a file; without either the whole studio as a bundle.',
    import:
      'Takes a bundle, MusicXML, MIDI, or a table of students or tries into a studio, whole or not at all.',
    plan: 'The dates of a student’s plan.',
    backup: 'Copies the studio’s file, which may be in use.',
    doctor:
      'Looks whether settings, file, disk and backups are as they should be, and says how to mend what is not.',
    password: 'A link with which somebody sets their password anew.',
    restore: 'Puts a backup in the place of the studio’s file, which is kept beside it.',
  },
  expand: {
    bpm: 'tempo for what depends on it',
    most: 'stops after so many exercises',
  },
  parse: {
    meter: 'meter that it is typed in',
  },
  export: {
    format: 'what it is written as',
    program: 'which program',
    students: 'the studio with its students and their logs',
    student: 'one student with their programs and log',
    from: 'exercises of a file instead: a recipe, a family or a bundle',
    bpm: 'their tempo',
    times: 'how often each exercise sounds in a WAV file',
    to: 'where it is written; - is standard output',
  },
  import: {
    as: 'what its parts become',
    cut: 'signs, whole, or every so many bars',
    grid: 'what played notes are put on',
    student: 'whose a log is that does not say so',
    dryRun: 'says what it would bring, and brings nothing',
  },
  passwordLink:
    'Open it behind the address of this Mivvel, within {hours, plural, one {an hour} other {# hours}}. It works once.',
  plan: { student: 'whose plan' },
  bundleHolds:
    'Bundle: {programs, plural, one {# program} other {# programs}}, {exercises, plural, one {# exercise} other {# exercises}}, {families, plural, one {# family} other {# families}}, {materials, plural, one {# material} other {# materials}}, {students, plural, one {# student} other {# students}}.',
  familyHolds: 'Family: {size, plural, one {# exercise} other {# exercises}}.',
  exerciseIs:
    'Exercise: {bars, plural, one {# bar} other {# bars}} of {meter}, {strokes, plural, one {# stroke} other {# strokes}}.',
  atBpm: 'At {bpm}, {where}: {reason} {mend}',
  partHolds: '{name}: {bars, plural, one {# bar} other {# bars}}, {kinds}.',
  partHoldsNothing: '{name}: {bars, plural, one {# bar} other {# bars}}, nothing that comes in.',
  brings: {
    programs: 'Programs: {names}',
    exercises: 'Exercises: {names}',
    families: 'Families: {names}',
    materials: 'Materials: {names}',
    settings: 'Settings: {names}',
    hereAlready: 'Here already: {names}',
    none: 'none',
    student: 'student: {name}',
    studentHere: 'student here already: {name}',
    studentWithTries: 'student: {name}, {tries, plural, one {# try} other {# tries}}',
    tries:
      '{student}: {exercise}: {tries, plural, one {# try} other {# tries}}, {from} – {to}, ladder {bpm, number} → {then, number}',
    triesHere: '{tries, plural, one {# try} other {# tries}} here already',
    unsaid:
      '{rows, plural, one {# row says} other {# rows say}} no student: say whose with --student',
    draft: '{kind, select, line {reading line} ostinato {ostinato} other {exercise}}: {name}',
    more: 'and {count, number} more',
  },
  cameIn:
    'Came in: {programs, plural, one {# program} other {# programs}}, {exercises, plural, one {# exercise} other {# exercises}}, {families, plural, one {# family} other {# families}}, {materials, plural, one {# material} other {# materials}}, {students, plural, one {# student} other {# students}}, {tries, plural, one {# try} other {# tries}}.',
  backedUp: 'Backed up to {to}, and looked through: it is whole.',
  disk: '{file}: the disk says {code}. Look whether its folder is there and may be written, and whether there is room.',
  tooDeep: 'This is nested too deeply to be read. Take it anew from where it came.',
  doctor: {
    settings: 'Cannot be used: {names}. docs/running.md says what each may be.',
    whole: '{file} is whole, and can be read and written.',
    left: 'Left over from something that was broken off, and safe to remove: {names}.',
    noBackup:
      'There is no backup yet. The server makes one each day while it runs; or: npm run -s mivvel -- backup monday.sqlite',
    backup:
      'The last backup is {days, plural, =0 {of today} one {of yesterday} other {# days old}}: {file}.',
    oldBackup: 'That is long ago. Does the server run, and may it write there?',
  },
  restored: 'Restored from {from}.',
  restoredKept: 'Restored from {from}. What was there is kept as {kept}.',
  noFile:
    '{file} is not there, or cannot be read. Give the path of a file, or - for standard input.',
  noStudioFile: '{folder} holds no mivvel.sqlite. Give the folder of a studio with --data.',
  noEmail:
    'Nobody signs in as {email} in the file of {folder}. See Account on a teacher’s screen for the address.',
  noStudio: 'There is no studio {name}. There are: {names}.',
  severalStudios: 'The file holds several studios: {names}. Say which with --studio.',
  noProgram: 'There is no program {name}. There are: {names}.',
  noStudent: 'There is no student {name}. There are: {names}.',
  sayProgram: 'Say which program with --program.',
  noNumber: '--most {text} is no number from 0 up. Give one, or leave it out.',
  tooMany:
    '{file} holds more than {most, number} exercises. Keep some of them on Variations, and export those.',
  noTimes: '--times {text} is no whole number from 1 up. Give one.',
  noCut: '--cut {text} is none of signs, whole and a number of bars. Give one of them.',
  fileThere: '{file} is there already. Give the path of a new file.',
  tooLong:
    'It would last {minutes, number} minutes, of at most {most, number}. Give a smaller --times.',
} as const;
