/** What is wrong, where, and how to mend it. */
export const issue = {
  'line-empty': 'The line is empty. Type note values, such as 4. 4 8 4.',
  'only-rests':
    '{what, select, line {The line holds nothing but rests. Write at least one note, or take the line out.} other {The sticking holds nothing but rests. Write at least one letter, or take it out.}}',
  'line-token':
    'Bar {bar, number}: “{token}” is not a note value. Write 1, 2, 4, 8, 16 or 32, with a dot (4.), as a rest (8r) or tied (4~8).',
  'line-tie':
    'Bar {bar, number}: the tie after “{token}” has no note to hold on to. Put a note after ~, or take the tie away.',
  'loop-part':
    '“{text}” is no part of {bars, plural, one {this one bar} other {these # bars}}. Write a bar (1), bars (1-2), beats (1.3-1.4) or counts (1.3e-2.1), first to last.',
  'line-tuplet':
    'Bar {bar, number}: “{token}” is not a tuplet. Write the number, then its notes in brackets: 3(8 8 8).',
  'bar-short':
    'Bar {bar, number} holds {got}, {off} short of a bar of {meter}. Add notes or rests, such as {rest}, or take the bar lines out: a line of any length goes round.',
  'bar-long':
    'Bar {bar, number} holds {got}, {off} more than a bar of {meter}. Take notes away, or put a bar line | after the full bar.',
  'grid-token':
    'Slot {slot, number}: “{token}” is not a grid mark. Use x hit, X accent, g ghost, - rest.',
  'part-nobody': 'Who plays it? Put a limb or a voice and a colon in front, such as K: x--x--x-.',
  'part-who':
    '“{text}” is neither a limb nor a voice. Put K, F, R, L, ride, snare or another voice before the colon.',
  'part-empty':
    'Nothing is played after the colon. Type a grid such as x--x--x-, or a count such as 1 & 3 &.',
  'count-token':
    '“{token}” is not counted there. Use beats 1 to {beats, number}, e & a, trip let, in order; 2& is the & of 2 alone.',
  'sticking-token':
    'Stroke {stroke, number}: “{token}” is not a limb. Use R and L for hands, K right foot, F left foot.',
  'sticking-bar':
    'Bar {bar, number} has {got, number} {grid}, and {wanted, number} make a bar. Move the bar line, or fill up with “-”.',
  'count-bars':
    '{got, plural, one {# bar is} other {# bars are}} counted, but there {wanted, plural, one {is one} other {are #}}. Type one bar, or all of them with | between, or one of them alone after its number, as 2: 1 & 3.',
  'count-bar':
    'There is no bar {bar, number} here: {bars, plural, one {there is one} other {there are #}}. Type 2: 1 & 3 for bar 2 alone.',
  'line-letters':
    '{got, plural, one {# letter} other {# letters}} for {wanted, plural, one {# note} other {# notes}}. Type one for each note of the line.',
  'line-letter': '“{letter}” is no voice. Use the letters of the lanes, such as S, K, H, T1.',
  'ending-length':
    'The ending {ending} does not fill {bars, plural, one {the bar} other {# bars}}: {wanted, plural, one {# slot is} other {# slots are}} left. Choose an ending of that length, or the full cycle.',
  endingNone: '(none)',
  'cell-length':
    'The cell {sticking} has {letters, plural, one {# stroke} other {# strokes}}, but stands for a gap of {gap, number}. Make it {gap, plural, one {# letter} other {# letters}} long.',
  meter: '“{text}” is not a meter. Write it as 4/4, 7/8 or 5/4 2+3.',
  grouping: 'The grouping {text} does not add up to {count, number}. Change it so that it does.',
  feel: '“{text}” is not a feel. Write straight, or long to short, such as 2:1.',
  subdivision:
    '“{text}” is not a subdivision. Choose {eighths}, {sixteenths}, {eighthTriplets} or another from the list.',
  voice: 'There is no voice “{text}”. Choose one from the list.',
  voiceNear: 'There is no voice “{text}”. Did you mean {near}?',
  limb: '“{text}” is not a limb. Use RH, LH, RF or LF.',
  tempo:
    'A tempo of “{text}” cannot be played here. Set it between {least, number} and {most, number}.',
  'onset-off-grid':
    'Bar {bar, number}, {count}: this note falls between the {grid}. Choose a finer grid, or write the line so that its notes fall on them.',
  'gap-off-grid':
    'Bar {bar, number}, {count}: this note is not on a {sixteenth}, so no cell reaches it. Write the line without tuplets, or choose another interpretation.',
  'gap-without-cell':
    'Bar {bar, number}, slot {slot, number} ({count}): the next note is {gap, number} {sixteenths} away and no cell has that length. Put a note in between, so that the gap is shorter.',
  'gap-with-proposals':
    'Bar {bar, number}, slot {slot, number} ({count}): the next note is {gap, number} {sixteenths} away and no cell has that length. Take {proposals}, or shorten the gap.',
  'rule-none':
    'Bar {bar, number}, {count}: no rule fits this note ({length} long, {gap} to the next, {onBeat, select, yes {on} other {off}} the beat). Add a rule for it, or widen one.',
  'rules-contradict':
    'Rules {first, number} and {second, number} are about the same notes and say different things. Change one of them, or take it away.',
  'rule-range':
    'Rule {row, number}: nothing is from {from, number} to {to, number} {sixteenths} long. Swap the two numbers.',
  'limb-claimed':
    '{over} and {by} both need the {limbs}. Let the groove rest, merge them, or choose another limb.',
  'cycle-too-long':
    'The parts come round together only after {bars, number} bars; {most, number} is the most. Cut it to fewer, or shorten one of them so that it fits the bar.',
  bars: '“{text}” bars cannot be played. Type a whole number from 1 to 64.',
  'member-meter':
    '{name} is in {meter}, what it follows in {wanted}. Take it away, or choose one in {wanted}.',
  'member-feel':
    '{name} is {feel}, what it follows {wanted}. Take it away, or set both to the same feel.',
  'sequence-too-long':
    'The whole is {bars, number} bars long; {most, number} is the most. Take a part away, or give it fewer bars.',
  'recipe-newer':
    'This exercise was written by a newer Mivvel (format {version, number}; this one reads {known, number}). Update Mivvel, then open it again.',
  'recipe-shape': 'This exercise cannot be read: {what}. Ask whoever sent it for the link again.',
  'ingredient-missing':
    '“{id}”, version {version, number}, is not in this studio. Choose another, or ask for the whole exercise.',
  'link-altered':
    'This link is not complete, or was changed on the way. Copy the whole link again from where it was made.',
  'family-too-large':
    'That makes {size, number} variations; {most, number} is the most. Narrow “{axis}”: it has {values, number} values.',
  'axis-empty': '“{axis}” has no value left. Choose one, or take the phrase out of the family.',
  'family-empty': 'None of these can be played. Change what they have in common.',
  'members-too-many':
    '{count, number} exercises at once are too many; {most, number} is the most. Keep fewer, or set a stop.',
  'ladder-step-zero': 'A step of 0 never leaves the start. Set a step such as 5.',
  'ladder-step-away':
    'A step of {step} leads away from {target, number} when starting at {start, number}. Set it to {mended}, or swap start and target.',
  dosage:
    'A dosage of “{text}” cannot be played. Set at least 1, in whole numbers or half minutes, and at most {most, number}.',
  'ladder-number':
    '“{text}” does not fit here. Set a number from {least, number} to {most, number}.',
  'ladder-empty':
    'This ladder has no rungs yet. Type its tempos, such as 60 70 80, or choose steps.',
  'ladder-long':
    'This makes {rungs, number} rungs, and {most, number} is the most. Take larger steps.',
  rule: '{what, select, clean {“{text}” clean tries cannot be asked for. Set a whole number from 1 to 20.} of {Clean ones of the last “{text}” tries cannot be asked for. Set more tries than have to be clean, up to {most, number}.} lost {“{text}” lost tries cannot be waited for. Set a whole number from 1 to 20.} other {“{text}” days without gain cannot be waited for. Set a whole number from 1 to 20.}}',
  'item-twice': 'The same item stands here twice. Reload the page and do it again.',
  'after-missing':
    '{name} waits for something that is not in the program. Choose again what it comes after.',
  'body-large':
    'This is more than Mivvel takes at once ({most, number} MB). Send it in parts; nothing was changed.',
  'host-unknown':
    'Mivvel does not answer to the name {host}. Open it by the number of this computer, or give it the name: as the studio’s address, or in the setting MIVVEL_HOSTS.',
  storage:
    '{trouble, select, busy {Another program is writing {file} and takes long. Nothing was changed; try again in a moment.} full {The disk with {file} is full. What was saved before is safe, this is not saved yet. Make room: what was played waits, and is saved by itself.} readOnly {The file {file} may not be written. What was saved before is safe, this is not saved. Give Mivvel the right to write the file and its folder.} damaged {The file {file} is damaged, and nothing is written to it. {restore}} faulty {A look through all of the file {file} found a fault. It is still read and written. {restore}} missing {The file {file} is no longer where it was. Put it back if you can. {restore}} other {The file {file} cannot be read: the disk reports a fault. Copy what you can to another disk. {restore}}}',
  storageRestore: 'Restore the latest backup with “npm run -s mivvel -- restore {backup}”.',
  storageNoBackup: 'There is no backup beside it.',
  'file-nodes':
    'This file has more than {most, number} elements, far more than a score needs. Take it anew from where it came, or split it.',
  'file-large':
    'This file is larger than {most, number} million characters. Split it into several.',
  'file-heavy':
    'Reading this file took more than {most, number} {what, select, seconds {seconds} other {MB of memory}} and was stopped; nothing was changed. Save it in smaller parts.',
  'file-unreadable':
    'Line {line, number} of this file cannot be read: it may be cut off. Take it anew from where it came.',
  'file-other':
    'This file is none that Mivvel reads. Choose one that ends in .mivvel.json, .musicxml, .xml, .mxl, .mid or .csv.',
  'file-encoding':
    'The letters of this file are written as {encoding}, which is unknown here. Save it anew as UTF-8.',
  'file-packed':
    'This packed file is damaged, or there is no score in it. Save it anew, or as .musicxml.',
  'file-entities':
    'This file brings entities of its own, which are not read. Save it anew from a notation program.',
  'file-deep':
    'Elements of this file nest deeper than any score does. Save it anew from a notation program.',
  'file-midi':
    '{track, plural, =0 {This does not begin as a MIDI file does.} other {Track {track, number} of this MIDI file is cut off or damaged.}} Save it anew from where it came.',
  'file-frames': 'This MIDI file counts time in frames a second, not in beats. Save it with beats.',
  address: '“{text}” is no address. Type it as a browser has it, such as http://192.168.1.20:3000.',
  'backup-damaged':
    'This is no studio file, or it is damaged. Nothing was changed; take another backup.',
  'backup-locked':
    'This backup is encrypted, and this passphrase does not open it. Set MIVVEL_BACKUP_PASSPHRASE to the one it was made with.',
  'backup-newer':
    'This backup is of a newer Mivvel. Update Mivvel, then restore it; nothing was changed.',
  'csv-quotes':
    'A quote in line {line, number} of this table is not closed. Close it, or take it out.',
  'csv-columns':
    'The first line of this table has no column {missing}: it has {found, select, none {nothing} other {{found}}}. Name a column so.',
  'csv-rows': 'This table has more than {most, number} rows. Split it into several.',
  'csv-form':
    'Line {line, number}, {column}: {text, select, none {nothing stands there} other {“{text}” cannot be taken}}. Write it like {like}.',
  'csv-cell':
    'Line {line, number}, {column}: {text, select, none {nothing stands there} other {“{text}” cannot be taken}}. {may, select, none {Write one that is neither empty nor too long.} other {Write one of {may}, or leave it empty.}}',
  'file-silent': 'No part of this file has a note. Choose one in which something is played.',
  'file-long':
    'This file has more than {bars, number} bars or {notes, number} notes. Split it into several.',
  'bundle-large':
    'Students’ logs make this file longer than {most, number} million characters, more than can be read again. Export students one by one, or make a backup.',
  'bundle-newer':
    'This file is of format {version, number}; this Mivvel knows formats up to {known, number}. Update Mivvel, then import it.',
  'bundle-part':
    '{part, select, materials {Material} exercises {Exercise} families {Family} programs {Program} students {Student} other {File}} {name} is damaged: {what}. Nothing was imported; take the file anew from where it came.',
  'nobody-has-it':
    'Nobody has {name}, so there is no week to print. Give it to a student, or print the program itself.',
  'after-circle': '{circle}: none could ever begin. Let one of them wait for nothing.',
  'after-waits': '{name} waits for {first}',
  'program-changed':
    'This program was changed elsewhere in the meantime. Nothing was overwritten: reload to see it, then make your change again.',
  'not-asked':
    'This suggestion is out of date: the log has moved on. Reload to see where the ladder stands.',
  'note-empty': 'There is nothing in this note. Write a line first.',
  tick: '{day}: “{text}” cannot be read. Write c, s or l for each try, with a tempo before them where it was another: 70 ccs.',
  'day-ahead': '{day} has not come yet. Choose a day up to today.',
  'day-past': '{day} has passed. Choose today or a later day.',
  'week-empty': 'No day has any minutes, so nothing can be planned. Give at least one day some.',
  'off-order': 'The dates off from {from} to {to} end before they begin. Swap them.',
  'off-overlap': 'The dates off {first} and {second} overlap. Make them one, or change an end.',
  'target-past': 'The target date {target} has passed. Choose one from {today} on, or none.',
  'quiet-empty':
    'Quiet from {at} to {at} is no time at all. Change an end, or take the quiet hours out.',
  email: '“{text}” is no email address. Write one such as ada@example.com.',
  'teaches-here': '“{email}” teaches in this studio already. Sign in with it.',
  'sign-in-wrong':
    'This email and password do not go together. Type them again, or ask for a new password.',
  'code-wrong':
    'No such code in a studio of that name. A code is good once, for {days, plural, one {a day} other {# days}}: ask your teacher for another.',
  'pin-wrong': 'This is not your number. Try again, or ask your teacher.',
  'setup-code':
    'This is not the code. It stands where Mivvel runs, in the terminal or its log, and changes with each start.',
  'link-over': 'This link opens nothing now. Ask whoever gave it to you for a new one.',
  'too-many-tries':
    'Too many tries. Wait {minutes, plural, one {a minute} other {# minutes}}, or come in by your link.',
  'password-length':
    'A password has {least, number} to {most, number} characters. Three or four words that do not belong together are easy to remember.',
  'password-common': 'Many people use this password, so it is tried first. Choose another.',
  'last-teacher': '{student} has no other teacher. Add one first.',
  'name-differs': 'This is another name. Type “{name}” as it is written there.',
  'name-missing': 'The {what} has no name. Give it one of up to 80 letters.',
  'nothing-to-play':
    'There is nothing to play yet. Choose what goes on under Over, or type a line at Play.',
  'not-yours': 'This {what} belongs to someone else. Go back to your own.',
  'not-found': 'This {what} is no longer here. Reload the page to see what there is.',
  'entry-shape': 'This entry cannot be stored: {what}. Leave it out, or tell your teacher.',
  'input-shape': 'This cannot be read: {what}. Shorten or mend it, or reload the page.',
  'program-empty': '{name} has no exercises yet. Add one before you give it to anyone.',
  'already-given': '{student} already has {program}. They keep their version until you update it.',
} as const;

/** What an issue is about. */
export const thing = {
  assignment: 'assignment',
  link: 'link',
  person: 'person',
  tablet: 'tablet',
  cells: 'set of cells',
  entry: 'entry',
  exercise: 'exercise',
  family: 'family',
  interpretation: 'interpretation',
  item: 'item',
  kit: 'kit',
  line: 'line',
  material: 'material',
  ostinato: 'ostinato',
  page: 'page',
  program: 'program',
  record: 'record',
  rules: 'set of rules',
  session: 'session',
  sticking: 'sticking',
  student: 'student',
  studio: 'studio',
  teacher: 'teacher',
  version: 'version',
} as const;

/** What does not fit a shape. */
export const misfit = {
  at: '{field}: {problem}',
  whole: 'the whole',
  kind: 'not of the right kind',
  long: 'too long or too large',
  short: 'too short or too small',
  format: 'not in the right form',
  unknown: 'holds something unknown',
  choice: 'not one of the choices',
  other: 'does not fit',
} as const;
