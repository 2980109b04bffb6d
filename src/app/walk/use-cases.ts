import { LIKELY_CHOICES, writeBundle } from '@/core/format';
import { FULL_KIT } from '@/core/kit';
import type { Result } from '@/core/issue';
import { USUAL_SCHEDULE } from '@/core/plan';
import { type PersonId, type Viewer, PLAIN_SPEECH } from '@/core/studio';
import * as server from '@/server';
import type { Owner, Student, Teacher } from '@/server';
import { about, decision, takenBack, tryOf } from '@/server/studio.fixture';
import { sayOnPaperIn } from '@/words';
import { importedOf, type ViewerName, type World } from './world.fixture';

/** One way to call something, and who may. Whoever may not is refused and changes nothing; whoever looks
 * only at what is their own sees nothing of the studio. */
export interface Call {
  readonly run: (world: World, viewer: Viewer | null) => unknown;
  readonly may: readonly ViewerName[];
  /** Names nothing, so that everybody who may call it meets their own studio. */
  readonly own?: boolean;
}

type UseCase<Me> = (me: Me, world: World) => unknown;

const STAFF = ['owner', 'teacher', 'colleague'] as const;

/** About what the whole studio shares. */
function teacher(...cases: readonly UseCase<Teacher>[]): readonly Call[] {
  return cases.map((tried) => ({
    may: STAFF,
    run: (world, viewer) => granted(server.asTeacher(world.context, viewer), tried, world),
  }));
}

function anyTeacher(...cases: readonly UseCase<Teacher>[]): readonly Call[] {
  return teacher(...cases).map((call) => ({ ...call, may: [...STAFF, 'stranger'], own: true }));
}

/** About one student: those who teach them. */
function taught(...cases: readonly UseCase<Teacher>[]): readonly Call[] {
  return teacher(...cases).map((call) => ({ ...call, may: ['owner', 'teacher'] }));
}

/** What the owner alone looks after. */
function owner(...cases: readonly UseCase<Owner>[]): readonly Call[] {
  return cases.map((tried) => ({
    may: ['owner'],
    run: (world, viewer) => granted(server.asOwner(world.context, viewer), tried, world),
  }));
}

function anyOwner(...cases: readonly UseCase<Owner>[]): readonly Call[] {
  return owner(...cases).map((call) => ({ ...call, may: ['owner', 'stranger'], own: true }));
}

function student(...cases: readonly UseCase<Student>[]): readonly Call[] {
  return cases.map((tried) => ({
    may: ['student', 'fellow'],
    own: true,
    run: (world, viewer) => granted(server.asStudent(world.context, viewer), tried, world),
  }));
}

/** About one student: their teachers and that student alone. */
function oneStudent(...cases: readonly UseCase<Teacher | Student>[]): readonly Call[] {
  return cases.map((tried) => ({
    may: ['owner', 'teacher', 'student'],
    run: (world, viewer) => granted(server.asEither(world.context, viewer), tried, world),
  }));
}

function granted<Me>(me: Result<Me>, tried: UseCase<Me>, world: World): unknown {
  return me.ok ? tried(me.value, world) : me;
}

const BUNDLE = {
  materials: [],
  exercises: [],
  families: [],
  programs: [],
  students: [],
  settings: null,
};

const FILE = { name: 'a.json', bytes: new TextEncoder().encode(writeBundle({})) };

const weekOf = ({ id }: World) => ({ kind: 'week', student: id, program: null }) as const;

const exercisesOf = ({ recipe }: World) =>
  ({ kind: 'exercises', title: 'One', entries: [{ name: 'One', recipe }], bpm: 80 }) as const;

const title = (name: string) => `${name} ${'x'.repeat(3)}`;

/** Every use case, aimed at the things of one studio, both ways where there are two. */
export const USE_CASES: Readonly<Record<string, readonly Call[]>> = {
  listExercises: anyTeacher((me) => server.listExercises(me)),
  listExerciseNames: anyTeacher((me) => server.listExerciseNames(me)),
  getExercise: teacher((me, w) => server.getExercise(me, w.exercise.id)),
  saveExercise: [
    ...teacher((me, w) =>
      server.saveExercise(me, { id: w.exercise.id, name: 'Mine', recipe: w.recipe }),
    ),
    ...anyTeacher((me, w) => server.saveExercise(me, { id: null, name: 'New', recipe: w.recipe })),
  ],
  archiveExercise: teacher(
    (me, w) => server.archiveExercise(me, w.exercise.id, true),
    (me, w) => server.archiveExercise(me, w.exercise.id, false),
  ),
  findTwins: anyTeacher((me) => server.findTwins(me, 'shape')),
  listFamilies: anyTeacher((me) => server.listFamilies(me)),
  getFamily: teacher((me, w) => server.getFamily(me, w.family)),
  saveFamily: [
    ...teacher((me, w) =>
      server.saveFamily(me, { id: w.family, name: 'Mine', family: w.wholeFamily }),
    ),
    ...anyTeacher((me, w) =>
      server.saveFamily(me, { id: null, name: 'New', family: w.wholeFamily }),
    ),
  ],
  archiveFamily: teacher(
    (me, w) => server.archiveFamily(me, w.family, true),
    (me, w) => server.archiveFamily(me, w.family, false),
  ),
  listPractised: anyTeacher((me) => server.listPractised(me)),
  sendToProgram: [
    ...teacher((me, w) =>
      server.sendToProgram(me, { id: w.program }, [{ name: 'Sent', recipe: w.recipe }]),
    ),
    ...anyTeacher((me, w) =>
      server.sendToProgram(me, { name: 'New' }, [{ name: 'Sent', recipe: w.recipe }]),
    ),
  ],
  listMaterials: anyTeacher((me) => server.listMaterials(me)),
  saveMaterial: [
    ...teacher((me, w) => server.saveMaterial(me, { ...LINE, id: w.material })),
    ...anyTeacher((me) => server.saveMaterial(me, { ...LINE, id: null })),
  ],
  archiveMaterial: teacher(
    (me, w) => server.archiveMaterial(me, w.material, true),
    (me, w) => server.archiveMaterial(me, w.material, false),
  ),
  appendEntries: [
    ...oneStudent((me, w) => server.appendEntries(me, w.id, [])),
    ...oneStudent((me, w) => answered(me, w, tryOf(w))),
  ],
  appendTogether: oneStudent((me, w) => server.appendTogether(me, w.id, [])),
  appendEntry: [
    ...taught(
      (me, w) => server.appendEntry(me, w.id, decision(w, { does: 'move', rung: 2 })),
      (me, w) => server.appendEntry(me, w.id, takenBack(w.decided, me)),
      (me, w) => server.appendEntry(me, w.id, takenBack(w.noteAway, me)),
    ),
    {
      may: ['student'],
      run: (w, viewer) =>
        granted(
          server.asEither(w.context, viewer),
          (me) => server.appendEntry(me, w.id, about('remark', w.tryId, { text: 'stiff' })),
          w,
        ),
    },
  ],
  listTries: oneStudent((me, w) => server.listTries(me, w.id, w.item, null)),
  logPaper: taught((me, w) =>
    server.logPaper(me, w.id, server.newId<'session'>(me), [
      {
        assignmentId: w.assignment,
        itemId: w.item,
        day: '2026-01-04',
        text: 'c',
        ids: [server.newId<'entry'>(me)],
      },
    ]),
  ),
  getDay: student((me) => server.getDay(me)),
  getPlan: oneStudent((me, w) => server.getPlan(me, w.id)),
  getRound: oneStudent(
    (me, w) => server.getRound(me, w.id),
    (me, w) => server.getRound(me, w.id, { now: { minutes: 5, on: 'pad' } }),
  ),
  exportCalendar: oneStudent((me, w) => server.exportCalendar(me, sayOnPaperIn('en-GB'), w.id)),
  openFeed: oneStudent(
    (me, w) => server.openFeed(me, w.id, false),
    (me, w) => server.openFeed(me, w.id, true),
  ),
  getAddress: anyTeacher((me) => ({ ok: true, value: server.getAddress(me) })),
  setAddress: anyTeacher((me) => server.setAddress(me, 'http://10.0.0.2:3000')),
  exportLog: oneStudent((me, w) => server.exportLog(me, w.id)),
  exportProgram: teacher(
    (me, w) => server.exportProgram(me, w.program, 'midi', sayOnPaperIn('en-GB')),
    (me, w) => server.exportProgram(me, w.program, 'bundle', sayOnPaperIn('en-GB')),
  ),
  exportRoster: anyTeacher((me) => server.exportRoster(me)),
  getBackups: anyTeacher((me) => server.getBackups(me)),
  backUpNow: anyTeacher((me) => server.backUpNow(me)),
  archiveStudent: taught(
    (me, w) => server.archiveStudent(me, w.id, true),
    (me, w) => server.archiveStudent(me, w.id, false),
  ),
  exportStudio: [
    ...anyTeacher((me) => server.exportStudio(me, false)),
    ...anyTeacher((me) => server.exportStudio(me, true)),
  ],
  exportStudent: taught((me, w) => server.exportStudent(me, w.id)),
  lookIntoBundle: anyTeacher((me) => server.lookIntoBundle(me, BUNDLE)),
  importBundle: anyTeacher((me) => server.importBundle(me, BUNDLE)),
  lookIntoFile: anyTeacher((me) => server.lookIntoFile(me, FILE, LIKELY_CHOICES)),
  importFile: anyTeacher((me) => server.importFile(me, FILE, LIKELY_CHOICES)),
  takeBackTries: taught(
    (me, w) => server.takeBackTries(me, w.id, [w.tryId], true),
    (me, w) => server.takeBackTries(me, w.id, [w.tryId], false),
  ),
  archiveImported: taught(
    (me, w) => server.archiveImported(me, importedOf(w), true),
    (me, w) => server.archiveImported(me, importedOf(w), false),
  ),
  planSheets: [
    ...oneStudent((me, w) => server.planSheets(me, sayOnPaperIn('en-GB'), weekOf(w))),
    ...teacher((me, w) =>
      server.planSheets(me, sayOnPaperIn('en-GB'), { kind: 'program', program: w.program }),
    ),
    ...taught((me, w) =>
      server.planSheets(me, sayOnPaperIn('en-GB'), { kind: 'class', program: w.program }),
    ),
    ...anyTeacher((me, w) => server.planSheets(me, sayOnPaperIn('en-GB'), exercisesOf(w))),
  ],
  setSchedule: oneStudent((me, w) => server.setSchedule(me, w.id, USUAL_SCHEDULE)),
  addItem: teacher((me, w) => server.addItem(me, w.program, w.exercise.id)),
  addToProgram: teacher(
    (me, w) => server.addToProgram(me, { id: w.program }, w.exercise.id),
    (me, w) => server.addToProgram(me, { name: 'New' }, w.exercise.id),
  ),
  archiveProgram: teacher(
    (me, w) => server.archiveProgram(me, w.program, true),
    (me, w) => server.archiveProgram(me, w.program, false),
  ),
  createProgram: [
    ...anyTeacher((me) => server.createProgram(me, 'New')),
    ...teacher((me, w) => server.createProgram(me, 'Copy', w.program)),
  ],
  copyStarter: anyTeacher((me) =>
    server.copyStarter(me, 'cells', {
      program: 'Cells',
      items: Array.from({ length: 5 }, (_, nth) => `Item ${nth}`),
      cues: ['Count aloud.'],
    }),
  ),
  followVersion: taught(
    (me, w) => server.followVersion(me, [w.assignment]),
    (me, w) => server.followVersion(me, [w.assignment], 1),
  ),
  getProgram: teacher((me, w) => server.getProgram(me, w.program)),
  giveProgram: taught((me, w) => server.giveProgram(me, w.program, w.fellow)),
  listPrograms: anyTeacher((me) => server.listPrograms(me)),
  renameProgram: teacher((me, w) => server.renameProgram(me, w.program, title('Mine'))),
  saveOutline: teacher((me, w) => {
    const program = server.getProgram(me, w.program);
    const { revision, outline } = program.ok ? program.value : { revision: 1, outline: EMPTY };
    return server.saveOutline(me, w.program, { revision, outline });
  }),
  setStart: taught(
    (me, w) => server.setStart(me, w.assignment, w.item, 80),
    (me, w) => server.setStart(me, w.assignment, w.item, null),
  ),
  setTemplate: teacher(
    (me, w) => server.setTemplate(me, w.program, true),
    (me, w) => server.setTemplate(me, w.program, false),
  ),
  takeBack: taught(
    (me, w) => server.takeBack(me, w.assignment, true),
    (me, w) => server.takeBack(me, w.ended, false),
  ),
  getRecord: oneStudent((me, w) => server.getRecord(me, w.id)),
  getToday: student((me) => server.getToday(me)),
  listNotes: student((me) => server.listNotes(me)),
  listRoster: anyTeacher((me) => server.listRoster(me)),
  listStudents: anyTeacher((me) => server.listStudents(me)),
  setKit: taught((me, w) => server.setKit(me, w.id, FULL_KIT)),
  addStudent: anyTeacher((me) => server.addStudent(me, { name: 'New', about: '' })),
  setSpeech: anyTeacher((me) => server.setSpeech(me, PLAIN_SPEECH)),
  setSteps: anyTeacher((me) => server.setSteps(me, ['limbs'])),
  listVersions: teacher(
    (me, w) => server.listVersions(me, w.program),
    (me, w) => server.listVersions(me, w.program, w.id),
  ),
  getWaysIn: taught((me, w) => server.getWaysIn(me, w.id)),
  openLink: taught(
    (me, w) => server.openLink(me, w.id, false),
    (me, w) => server.openLink(me, w.id, true),
  ),
  endLink: taught((me, w) => server.endLink(me, w.id)),
  makeCode: taught((me, w) => server.makeCode(me, w.id)),
  renewPin: taught((me, w) => server.renewPin(me, w.id)),
  endDevice: taught(
    (me, w) => server.endDevice(me, w.id, null),
    (me, w) => server.endDevice(me, w.id, 'one'),
  ),
  letRead: taught((me, w) => server.letRead(me, w.id, 'Mia', 30)),
  renewReading: taught((me, w) => server.renewReading(me, w.id, w.reading)),
  endReading: taught((me, w) => server.endReading(me, w.id, w.reading)),
  setTeaching: taught(
    (me, w) => server.setTeaching(me, w.id, w.staff[1] as PersonId, true),
    (me, w) => server.setTeaching(me, w.id, w.staff[0] as PersonId, false),
  ),
  eraseStudent: taught((me, w) => server.eraseStudent(me, w.id, 'Ines')),
  getShared: teacher((me, w) => server.getShared(me, w.program)),
  shareProgram: teacher(
    (me, w) => server.shareProgram(me, w.program, true),
    (me, w) => server.shareProgram(me, w.program, false),
  ),
  makeTablet: anyTeacher((me) => server.makeTablet(me, 'Hall')),
  getOwned: anyOwner((me) => ({ ok: true, value: server.getOwned(me) })),
  inviteTeacher: anyOwner((me) => server.inviteTeacher(me, 'cy@example.com', MAIL)),
  endInvitation: owner((me, w) => server.endInvitation(me, w.invitation)),
  endTablet: owner((me, w) => server.endTablet(me, w.tablet)),
  handStudioOver: owner((me, w) => server.handStudioOver(me, w.staff[0] as PersonId)),
  renameMe: anyTeacher((me) => server.renameMe(me, 'Ada')),
  letTeacherGo: owner((me, w) =>
    server.letTeacherGo(me, w.staff[0] as PersonId, w.staff[1] as PersonId),
  ),
};

const MAIL = { origin: 'http://localhost', words: () => ({ subject: '', text: '' }) };

/** What anybody may call, what only grants, and what cannot say no. */
export const NO_USE_CASES = [
  'liveContext',
  'newId',
  'asEither',
  'makeSheets',
  'planExercises',
  'asOwner',
  'asStudent',
  'asTeacher',
  // Before anybody is known; `src/server/access` has their tests.
  'acceptInvitation',
  'claimStudio',
  'enterByCode',
  'enterByLink',
  'enterByPin',
  'enterDemo',
  'forgotPassword',
  'invitationOf',
  'listDemo',
  'maySetUp',
  'openFirst',
  'openShared',
  'passwordLink',
  'readByLink',
  'resetPassword',
  'setupCode',
  'setupNow',
  'signInAs',
  'signInWith',
  'tabletNow',
  'whoIs',
  'whoseLink',
  // About whoever is signed in, whose sign-in they are handed.
  'changePassword',
  'COOKIE_SECONDS',
  'forgetOld',
  'getAccount',
  'rotated',
  'signOut',
  'openAnother',
  'signOutElsewhere',
  'signOutOn',
  'switchStudio',
  'MOST_ENTRIES',
  'readApart',
  'lookThrough',
  'practiceDay',
  'getSpeech',
  'getSteps',
  'listDoors',
  'openStudio',
  'readFeed',
  'viewerOf',
  'warmRosters',
  'knowAddresses',
  'backUpWhenDue',
  'storageIssue',
  'healthNow',
  'originsForOthers',
  'isReady',
  'nowWarm',
];

const EMPTY = { sections: [] };

const LINE = {
  kind: 'line' as const,
  name: 'Line',
  trains: '',
  meter: '4/4',
  content: { text: '4 4 4 4' },
};

function answered(me: Teacher | Student, { id }: World, posted: unknown): unknown {
  const batch = server.appendEntries(me, id, [posted]);
  return batch.ok ? batch.value.answers[0]?.result : batch;
}
