import { LIKELY_CHOICES, writeBundle } from '@/core/format';
import { FULL_KIT } from '@/core/kit';
import { USUAL_LOOK } from '@/core/print';
import { USUAL_SCHEDULE } from '@/core/plan';
import { startOf } from '@/core/recipe';
import { PLAIN_SPEECH } from '@/core/studio';
import { newId } from '@/server';
import { about, decision, tryOf } from '@/server/studio.fixture';
import { importedOf, type ViewerName, type World } from './world.fixture';

/** One way to knock at an action or a route: what is sent, and who is let in. */
export interface Knock {
  readonly send: (world: World) => readonly unknown[];
  readonly may: readonly ViewerName[];
  readonly own?: boolean;
}

const STAFF = ['owner', 'teacher', 'colleague'] as const;

/** About one student: their teachers and themselves. */
const ABOUT_ONE = ['owner', 'teacher', 'student'] as const;

function teacher(...sends: readonly Knock['send'][]): readonly Knock[] {
  return sends.map((send) => ({ send, may: STAFF }));
}

function anyTeacher(...sends: readonly Knock['send'][]): readonly Knock[] {
  return sends.map((send) => ({ send, may: [...STAFF, 'stranger'], own: true }));
}

/** About one student: those who teach them. */
function taught(...sends: readonly Knock['send'][]): readonly Knock[] {
  return sends.map((send) => ({ send, may: ['owner', 'teacher'] }));
}

function owner(...sends: readonly Knock['send'][]): readonly Knock[] {
  return sends.map((send) => ({ send, may: ['owner'] }));
}

function anyOwner(...sends: readonly Knock['send'][]): readonly Knock[] {
  return sends.map((send) => ({ send, may: ['owner', 'stranger'], own: true }));
}

/** About their own account, whoever is signed in. */
function anybody(...sends: readonly Knock['send'][]): readonly Knock[] {
  const may = [...STAFF, 'student', 'fellow', 'stranger'] as const;
  return sends.map((send) => ({ send, may, own: true }));
}

function form(fields: Readonly<Record<string, string>>): FormData {
  const made = new FormData();
  for (const [name, value] of Object.entries(fields)) made.set(name, value);
  return made;
}

/** Every action and route, by file and name; both ways where there are two. */
export const DOORS: Readonly<Record<string, readonly Knock[]>> = {
  'actions setStudioSpeech': anyTeacher(() => [PLAIN_SPEECH]),
  'plans setPlanOf': [{ send: (w) => [w.id, USUAL_SCHEDULE], may: ABOUT_ONE }],
  'plans calendarOf': [{ send: (w) => [w.id], may: ABOUT_ONE }],
  'plans feedOf': [
    { send: (w) => [w.id, false], may: ABOUT_ONE },
    { send: (w) => [w.id, true], may: ABOUT_ONE },
  ],
  'plans logOf': [{ send: (w) => [w.id], may: ABOUT_ONE }],
  'stand moreToPlay': [{ send: (w) => [w.id], may: ABOUT_ONE }],
  'find findTargets': anyTeacher(() => []),
  'students backUp': anyTeacher(() => []),
  'bench save': [
    ...teacher((w) => [{ id: w.exercise.id, name: 'Mine', recipe: w.recipe }]),
    ...anyTeacher((w) => [{ id: null, name: 'New', recipe: w.recipe }]),
  ],
  'bench archive': teacher(
    (w) => [w.exercise.id, true],
    (w) => [w.exercise.id, false],
  ),
  'bench addToProgram': teacher(
    (w) => [{ id: w.program }, w.exercise.id],
    (w) => [{ name: 'New' }, w.exercise.id],
  ),
  'bench open': teacher((w) => [w.exercise.id]),
  'bench twins': anyTeacher(() => ['shape']),
  'bench saveRules': anyTeacher(() => ['Rules', rulesOf(startOf('rules'))]),
  'materials save': [
    ...teacher((w) => [{ ...LINE, id: w.material }]),
    ...anyTeacher(() => [{ ...LINE, id: null }]),
  ],
  'materials archive': teacher(
    (w) => [w.material, true],
    (w) => [w.material, false],
  ),
  'steps setTemplate': anyTeacher(() => [['limbs']]),
  'programs create': [
    ...anyTeacher(() => [[], form({ name: 'New' })]),
    ...teacher((w) => [[], form({ name: 'Copy', from: w.program })]),
  ],
  'programs copyAsOwn': anyTeacher(() => [
    'cells',
    {
      program: 'Cells',
      items: Array.from({ length: 5 }, (_, nth) => `Item ${nth}`),
      cues: ['Count aloud.'],
    },
  ]),
  'programs rename': teacher((w) => [w.program, 'Mine']),
  'programs archive': teacher(
    (w) => [w.program, true],
    (w) => [w.program, false],
  ),
  'programs template': teacher(
    (w) => [w.program, true],
    (w) => [w.program, false],
  ),
  'programs save': teacher((w) => [
    w.program,
    { revision: 1, outline: { sections: [{ id: 'one', name: '', items: [] }] } },
  ]),
  'programs give': taught((w) => [w.program, w.fellow]),
  'programs take': taught(
    (w) => [w.program, w.assignment, true],
    (w) => [w.program, w.ended, false],
  ),
  'programs follow': taught(
    (w) => [w.program, [w.assignment], null],
    (w) => [w.program, [w.assignment], 1],
  ),
  'programs preview': taught((w) => [w.program, w.id]),
  'programs start': taught(
    (w) => [w.assignment, w.item, 80],
    (w) => [w.assignment, w.item, null],
  ),
  'students add': anyTeacher(
    () => [{}, form({ name: 'New', about: '' })],
    () => [{}, form({ name: 'New', about: '', link: 'made' })],
  ),
  'students setStudentKit': taught((w) => [w.id, FULL_KIT]),
  'students giveTo': taught((w) => [w.fellow, w.program]),
  'students logFor': taught((w) => [w.id, decision(w, { does: 'move', rung: 2 })]),
  'students earlierTries': taught((w) => [w.id, w.item, { day: '2026-01-05', seq: 99 }]),
  'students takeBackPaper': taught((w) => [w.id, [w.tryId]]),
  'students storePaper': taught((w) => [
    w.id,
    newId<'session'>(w.context),
    [
      {
        assignmentId: w.assignment,
        itemId: w.item,
        day: '2026-01-04',
        text: 'c',
        ids: [newId<'entry'>(w.context)],
      },
    ],
  ]),
  'variations save': [
    ...teacher((w) => [{ id: w.family, name: 'Mine', family: w.wholeFamily }]),
    ...anyTeacher((w) => [{ id: null, name: 'New', family: w.wholeFamily }]),
  ],
  'variations archive': teacher(
    (w) => [w.family, true],
    (w) => [w.family, false],
  ),
  'variations send': [
    ...teacher((w) => [{ id: w.program }, [{ name: 'Sent', recipe: w.recipe }]]),
    ...anyTeacher((w) => [{ name: 'New' }, [{ name: 'Sent', recipe: w.recipe }]]),
  ],
  'students rosterOf': anyTeacher(() => []),
  'programs exportAll': [...anyTeacher(() => [false]), ...anyTeacher(() => [true])],
  'students studentAsFile': taught((w) => [w.id]),
  'programs archiveFile': taught(
    (w) => [importedOf(w), true],
    (w) => [importedOf(w), false],
  ),
  'import POST': anyTeacher(
    () => [{ name: 'a.json', file: btoa(writeBundle({})), act: 'look', choices: LIKELY_CHOICES }],
    () => [{ name: 'a.json', file: btoa(writeBundle({})), act: 'take', choices: LIKELY_CHOICES }],
  ),
  'address POST': anyTeacher(
    () => [{ address: 'http://10.0.0.2:3000' }],
    () => [{ address: '' }],
  ),
  'sheets POST': [
    {
      send: (w) => [sheet({ kind: 'week', student: w.id, program: null })],
      may: ABOUT_ONE,
    },
    ...teacher((w) => [sheet({ kind: 'program', program: w.program })]),
    ...taught((w) => [sheet({ kind: 'class', program: w.program }, 'pdf')]),
    ...anyTeacher(() => [sheet({ kind: 'line', name: 'Line', text: '4 4 4 4', meter: '4/4' })]),
  ],
  'students linkOf': taught(
    (w) => [w.id, false],
    (w) => [w.id, true],
  ),
  'students endLinkOf': taught((w) => [w.id]),
  'students codeFor': taught((w) => [w.id]),
  'students pinFor': taught((w) => [w.id]),
  'students endDeviceOf': taught(
    (w) => [w.id, null],
    (w) => [w.id, 'one'],
  ),
  'students letReadOf': taught((w) => [w.id, 'Mia', 30]),
  'students renewReadingOf': taught((w) => [w.id, w.reading]),
  'students endReadingOf': taught((w) => [w.id, w.reading]),
  'students setTeacherOf': taught((w) => [w.id, w.staff[1], true]),
  'students erase': taught((w) => [w.id, 'Ines']),
  'programs share': teacher(
    (w) => [w.program, true],
    (w) => [w.program, false],
  ),
  'devices endElsewhere': anybody(() => []),
  'devices endOn': anybody(() => ['one']),
  'account renameOwn': anyTeacher(() => ['Ada']),
  'account goToStudio': [{ send: (w) => [w.id], may: ['student'] }],
  'account tabletHere': anyTeacher(() => ['Hall']),
  'account invite': anyOwner(() => ['cy@example.com']),
  'account takeInvitationBack': owner((w) => [w.invitation]),
  'account letGo': owner((w) => [w.staff[0], w.staff[1]]),
  'account makeOwner': owner((w) => [w.staff[0]]),
  'account tabletEnds': owner((w) => [w.tablet]),
  'account openOther': anyOwner(() => [[], form({ studio: 'New', teacher: 'Ada', zone: 'UTC' })]),
  'log POST': [
    { send: (w) => [{ entries: [tryOf(w)] }], may: ['student'] },
    { send: (w) => [{ entries: [about('remark', w.tryId, { text: 'x' })] }], may: ['student'] },
    { send: (w) => [{ entries: [tryOf(w)], student: w.id }], may: ABOUT_ONE },
    {
      send: (w) => [{ entries: [about('judged', w.tryId, { verdict: 'lost' })], student: w.id }],
      may: ABOUT_ONE,
    },
  ],
};

function sheet(what: object, as: 'pages' | 'pdf' = 'pages') {
  return { what, look: USUAL_LOOK, as };
}

/** Before anybody is known there is nothing to be refused. */
export const OPEN_DOORS = [
  'actions enter',
  'actions signIn',
  'actions enterWithCode',
  'actions enterWithLink',
  'actions enterWithPin',
  'actions openMine',
  'actions claim',
  'actions readSetup',
  'actions accept',
  'actions forgot',
  'actions reset',
  'actions leave',
  // It asks for the present password, which the walk has none of.
  'account setPassword',
  'health GET',
  'ready GET',
];

const LINE = {
  kind: 'line',
  name: 'Line',
  trains: '',
  meter: '4/4',
  content: { text: '4 4 4 4' },
};

function rulesOf(as: ReturnType<typeof startOf>): unknown {
  return as.kind === 'rules' ? as.rules : null;
}
