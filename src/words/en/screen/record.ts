export const record = {
  fromYourTeacher: 'from your teacher',
  nothingIsOnRecordYetWhat: 'Nothing is on record yet. What you play at the stand is kept here.',
  record: 'Record',
  rungsOf: 'Rungs of {item}',
  sixWeeksMinutesADay: 'six weeks, minutes a day',
  lastTries: 'last tries',
} as const;
