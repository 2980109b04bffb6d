import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { must, type Result } from '@/core/issue';
import { ROLES, type PersonId } from '@/core/studio';
import { closeDb, openDb } from '@/db';
import { connectionOf } from '@/db/connection';
import {
  acceptInvitation,
  addStudent,
  asOwner,
  asTeacher,
  changePassword,
  claimStudio,
  endDevice,
  endInvitation,
  endLink,
  endReading,
  endTablet,
  enterByCode,
  enterByLink,
  enterByPin,
  enterDemo,
  eraseStudent,
  exportLog,
  forgetOld,
  forgotPassword,
  getAccount,
  getOwned,
  getShared,
  getWaysIn,
  handStudioOver,
  invitationOf,
  inviteTeacher,
  letRead,
  letTeacherGo,
  listDemo,
  listStudents,
  makeCode,
  makeTablet,
  maySetUp,
  openAnother,
  openFirst,
  openLink,
  openShared,
  openStudio,
  readByLink,
  renameMe,
  renewPin,
  renewReading,
  resetPassword,
  rotated,
  setAddress,
  setTeaching,
  setupCode,
  setupNow,
  shareProgram,
  signInWith,
  signOut,
  signOutElsewhere,
  switchStudio,
  tabletNow,
  viewerOf,
  whoIs,
  whoseLink,
} from '..';
import { log, smallStudio, testContext, tryOf } from '../studio.fixture';
import { ADA, browser, ownedStudio, signedInAs, WORDS } from './access.fixture';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;

function codesOf(result: Result<unknown>): readonly string[] {
  return result.ok ? [] : result.issues.map(({ code }) => code);
}

/** The path at the end of the latest mail that waits. */
function mailed(owned: ReturnType<typeof getOwned>): string {
  return /http:\/\/localhost:3000(\S+)/.exec(owned.mails[0]?.letter?.text ?? '')?.[1] ?? '';
}

const lastPart = (path: string) => path.split('/').at(-1) ?? '';

afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllEnvs();
});

describe('the first start', () => {
  it('opens a studio for whoever reads the code where Mivvel runs, once', async () => {
    const { context, signedIn } = await ownedStudio();
    expect(signedIn).toMatchObject({ role: 'owner', name: 'Ada' });
    expect(setupNow(context)).toBeNull();
    const again = { ...ADA, code: setupCode(), studio: 'B', teacher: 'B', zone: 'UTC' };
    expect(codesOf(await openFirst(context, again, browser()))).toEqual(['not-yours']);
  });

  it('calls a studio without a name as its owner', async () => {
    const context = testContext();
    const typed = { ...ADA, code: setupCode(), studio: ' ', teacher: 'Ada', zone: 'UTC' };
    const { token } = must(await openFirst(context, typed, browser()));
    const me = must(asOwner(context, whoIs(context, token)));
    expect(me.store.studio().name).toBe('Ada');
  });

  it('is closed to whoever does not know the code, and to whoever tries codes', async () => {
    const context = testContext();
    const typed = { ...ADA, code: 'WRONG', studio: 'B', teacher: 'B', zone: 'UTC' };
    expect(codesOf(await openFirst(context, typed, browser()))).toEqual(['setup-code']);
    const from = browser();
    for (let time = 0; time < 10; time += 1) await maySetUp('NO', from);
    expect(codesOf(await maySetUp(setupCode(), from))).toEqual(['too-many-tries']);
    expect((await maySetUp(setupCode(), browser())).ok).toBe(true);
  });

  it.each([
    [{ password: 'short' }, 'password-length'],
    [{ password: 'qwertyuiop' }, 'password-common'],
    [{ password: 'Qwertyuiop12' }, 'password-common'],
    [{ password: 'x'.repeat(129) }, 'password-length'],
    [{ email: 'ada' }, 'email'],
    [{ email: 'a@b.example\r\nBcc: all@b.example' }, 'email'],
    [{ teacher: '' }, 'name-missing'],
  ])('refuses %o, and makes nothing of it', async (wrong, code) => {
    const context = testContext();
    const typed = { ...ADA, code: setupCode(), studio: 'Mole End', teacher: 'Ada', zone: 'UTC' };
    expect(codesOf(await openFirst(context, { ...typed, ...wrong }, browser()))).toEqual([code]);
    const { $client } = connectionOf(context.db);
    expect($client.prepare('select count(*) from account').pluck().get()).toBe(0);
    expect(setupNow(context)?.first).toBe(true);
  });
});

describe('a studio of before there were accounts', () => {
  it('waits for its owner, with the code, and lets nobody in meanwhile', async () => {
    const context = testContext();
    const { id } = smallStudio(context);
    expect(setupNow(context)?.unclaimed.map(({ name }) => name)).toEqual(['Mole End']);
    expect(enterDemo(context, id, browser()).ok).toBe(false);
    const [studio] = setupNow(context)?.unclaimed ?? [];
    const typed = { ...ADA, code: 'NO', studio: studio?.id ?? '' };
    expect(codesOf(await claimStudio(context, typed, browser()))).toEqual(['setup-code']);
    const right = { ...typed, code: setupCode().toLowerCase() };
    const { token, role } = must(await claimStudio(context, right, browser()));
    expect(role).toBe('owner');
    expect(whoIs(context, token)?.name).toBe('Ada');
    expect(setupNow(context)).toBeNull();
    expect(codesOf(await claimStudio(context, right, browser()))).toEqual(['not-found']);
    expect((await signInWith(context, ADA, browser())).ok).toBe(true);
  });
});

describe('what is to be set up', () => {
  it('says whether people come in to another studio of the file already', async () => {
    const { context } = await ownedStudio();
    expect(setupNow(context)).toBeNull();
    must(openStudio(context, { studio: 'Of before', teacher: 'Bo', zone: 'UTC' }));
    expect(setupNow(context)).toMatchObject({ first: false, open: true });
    const alone = testContext();
    smallStudio(alone);
    expect(setupNow(alone)).toMatchObject({ first: false, open: false });
  });
});

describe('a studio to look around in', () => {
  it('lets everybody in as anybody there, and nobody into any other', () => {
    const context = testContext();
    const { id } = smallStudio(context);
    const demo = { studio: 'Demo', teacher: 'Maren', zone: 'UTC', demo: true };
    const maren = must(openStudio(context, demo));
    expect(listDemo(context).map(({ name }) => name)).toEqual(['Demo']);
    expect(must(enterDemo(context, maren, browser())).role).toBe('owner');
    expect(codesOf(enterDemo(context, id, browser()))).toEqual(['not-found']);
    // It is not what the first start is about.
    expect(setupNow(context)?.unclaimed.map(({ name }) => name)).toEqual(['Mole End']);
  });
});

describe('signing in with a password', () => {
  it('lets the right one in, in any letters of the address', async () => {
    const { context } = await ownedStudio();
    const typed = { ...ADA, email: ` ${ADA.email.toUpperCase()} ` };
    expect(must(await signInWith(context, typed, browser())).role).toBe('owner');
  });

  it('says the same of a wrong password and of an address that nobody has', async () => {
    const { context } = await ownedStudio();
    const wrong = await signInWith(context, { ...ADA, password: 'no' }, browser());
    const nobody = await signInWith(context, { ...ADA, email: 'x@y.example' }, browser());
    expect(wrong).toEqual(nobody);
    expect(codesOf(wrong)).toEqual(['sign-in-wrong']);
  });

  it('is slowed for one address and account after ten wrong tries, many at once among them', async () => {
    const { context } = await ownedStudio();
    const from = browser();
    const wrong = { ...ADA, password: 'guess' };
    const answers = await Promise.all(
      Array.from({ length: 14 }, () => signInWith(context, wrong, from)),
    );
    const codes = answers.flatMap(codesOf);
    expect(codes.filter((code) => code === 'sign-in-wrong')).toHaveLength(10);
    expect(codes.filter((code) => code === 'too-many-tries')).toHaveLength(4);
    expect(codesOf(await signInWith(context, ADA, from))).toEqual(['too-many-tries']);
    // Nobody else is kept out.
    expect((await signInWith(context, ADA, browser())).ok).toBe(true);
  });

  it('tried from many addresses makes each try slow, and still lets the owner in', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout'] });
    const { context } = await ownedStudio();
    const wrong = { email: 'many@mole-end.example', password: 'guess' };
    for (let time = 0; time < 30; time += 1) await signInWith(context, wrong, browser());
    let answered = false;
    const late = signInWith(context, wrong, browser()).then(() => (answered = true));
    await vi.advanceTimersByTimeAsync(1500);
    expect(answered).toBe(false);
    await vi.advanceTimersByTimeAsync(600);
    vi.useRealTimers();
    await late;
    expect((await signInWith(context, ADA, browser())).ok).toBe(true);
  });
});

describe('a sign-in', () => {
  it('is found by its cookie alone, of which the file has only the hash', async () => {
    const { context } = await ownedStudio();
    const { token } = must(await signInWith(context, ADA, browser()));
    expect(token).toMatch(/^[\w-]{43}$/);
    expect(whoIs(context, token)?.role).toBe('owner');
    for (const forged of ['', token.slice(1), `${token}x`, token.toLowerCase()]) {
      expect(whoIs(context, forged)).toBeNull();
    }
    const bytes = connectionOf(context.db).$client.serialize();
    expect(bytes.includes(token)).toBe(false);
    expect(bytes.includes(ADA.password)).toBe(false);
  });

  it.each([
    ['teacher', 29, 31],
    ['student', 179, 181],
  ] as const)('of a %s ends after disuse', async (role, good, over) => {
    const { context, owner } = await ownedStudio();
    const id = must(addStudent(owner, { name: 'Ines', about: '' }));
    const path = must(openLink(owner, id, false));
    const token = must(
      role === 'student'
        ? enterByLink(context, lastPart(path), browser())
        : await signInWith(context, ADA, browser()),
    ).token;
    context.at += good * DAY;
    expect(whoIs(context, token)).not.toBeNull();
    // Using it has put its end off.
    context.at += good * DAY;
    expect(whoIs(context, token)).not.toBeNull();
    context.at += over * DAY;
    expect(whoIs(context, token)).toBeNull();
    forgetOld(context);
    const left = connectionOf(context.db).$client.prepare('select count(*) from sign_in');
    expect(left.pluck().get()).toBe(0);
  });

  it('gets another cookie each week; the one before is good for a minute more', async () => {
    const { context } = await ownedStudio();
    const { token } = must(await signInWith(context, ADA, browser()));
    const now = () => {
      const found = whoIs(context, token);
      if (!found) throw new Error('gone');
      return found;
    };
    expect(rotated(context, now())).toBeNull();
    context.at += 8 * DAY;
    const before = now();
    const next = rotated(context, before) ?? '';
    expect(next).not.toBe('');
    // Of two that ask at once, one gets it.
    expect(rotated(context, before)).toBeNull();
    expect(whoIs(context, next)?.name).toBe('Ada');
    context.at += 59_000;
    expect(whoIs(context, token)?.name).toBe('Ada');
    context.at += 2000;
    expect(whoIs(context, token)).toBeNull();
    expect(whoIs(context, next)?.name).toBe('Ada');
  });

  it('ends here, or everywhere', async () => {
    const { context } = await ownedStudio();
    const tokens = await Promise.all(
      [0, 1, 2].map(async () => must(await signInWith(context, ADA, browser())).token),
    );
    const [first = '', second = '', third = ''] = tokens;
    const me = whoIs(context, first);
    if (!me) throw new Error('nobody');
    expect(getAccount(context, me).devices.filter(({ here }) => here)).toHaveLength(1);
    signOut(context, me);
    expect(tokens.map((token) => whoIs(context, token) !== null)).toEqual([false, true, true]);
    const other = whoIs(context, second);
    if (other) signOutElsewhere(context, other);
    expect([second, third].map((token) => whoIs(context, token) !== null)).toEqual([true, false]);
  });
});

describe('a file that cannot be written', () => {
  it('still says who is in, and gives out what is in it', async () => {
    const { context, owner } = await ownedStudio();
    const id = must(addStudent(owner, { name: 'Ines', about: '' }));
    const { token } = must(await signInWith(context, ADA, browser()));
    context.at += 9 * DAY;
    connectionOf(context.db).$client.pragma('query_only = ON');
    const me = whoIs(context, token);
    expect(me?.name).toBe('Ada');
    expect(me && rotated(context, me)).toBeNull();
    expect(exportLog(owner, id).ok).toBe(true);
    connectionOf(context.db).$client.pragma('query_only = OFF');
    expect(me && rotated(context, me)).toMatch(/^[\w-]{43}$/);
  });
});

describe('a password', () => {
  it('is changed by whoever knows the present one, and signs out everywhere else', async () => {
    const { context, signedIn } = await ownedStudio();
    const { token } = must(await signInWith(context, ADA, browser()));
    const next = 'another four plain words';
    const wrong = { present: 'no', password: next };
    expect(codesOf(await changePassword(context, signedIn, wrong, browser()))).toEqual([
      'sign-in-wrong',
    ]);
    const right = { present: ADA.password, password: next };
    expect((await changePassword(context, signedIn, right, browser())).ok).toBe(true);
    expect(whoIs(context, token)).toBeNull();
    expect((await signInWith(context, ADA, browser())).ok).toBe(false);
    expect((await signInWith(context, { ...ADA, password: next }, browser())).ok).toBe(true);
  });

  it('is set anew by a link that waits for the owner, once, within an hour', async () => {
    const { context, owner } = await ownedStudio();
    const { token: before } = must(await signInWith(context, ADA, browser()));
    vi.useFakeTimers({ toFake: ['Date'], now: context.at });
    must(await forgotPassword(context, ADA.email, WORDS, browser()));
    const token = lastPart(mailed(getOwned(owner)));
    const password = 'words that nobody guesses';
    expect(codesOf(await resetPassword(context, { token: 'x', password }))).toEqual(['link-over']);
    expect(codesOf(await resetPassword(context, { token, password: 'x' }))).toEqual([
      'password-length',
    ]);
    expect((await resetPassword(context, { token, password })).ok).toBe(true);
    expect(codesOf(await resetPassword(context, { token, password }))).toEqual(['link-over']);
    expect(whoIs(context, before)).toBeNull();
    expect((await signInWith(context, { ...ADA, password }, browser())).ok).toBe(true);
    must(await forgotPassword(context, ADA.email, WORDS, browser()));
    const late = lastPart(mailed(getOwned(owner)));
    expect(late).not.toBe(token);
    vi.setSystemTime(context.at + HOUR + 1000);
    expect(codesOf(await resetPassword(context, { token: late, password }))).toEqual(['link-over']);
  });

  it('is mailed as a link that leads here, wherever whoever asks says that we are', async () => {
    const { context, owner } = await ownedStudio();
    const elsewhere = { ...WORDS, origin: 'http://203.0.113.5:3000' };
    must(await forgotPassword(context, ADA.email, elsewhere, browser()));
    expect(getOwned(owner).mails[0]?.letter?.text).toMatch(/^Open \/reset\/\w+$/);
    must(setAddress(owner, 'https://drums.mole-end.example'));
    must(await forgotPassword(context, ADA.email, elsewhere, browser()));
    expect(getOwned(owner).mails[0]?.letter?.text).toMatch(
      /^Open https:\/\/drums.mole-end.example\/reset\/\w+$/,
    );
  });

  it('asked for by an address that nobody has is answered alike, and nothing is mailed', async () => {
    const { context, owner } = await ownedStudio();
    expect(await forgotPassword(context, 'x@y.example', WORDS, browser())).toEqual(
      await forgotPassword(context, ADA.email, WORDS, browser()),
    );
    expect(getOwned(owner).mails.map(({ to }) => to)).toEqual([ADA.email]);
  });
});

async function invited() {
  const studio = await ownedStudio();
  const path = must(inviteTeacher(studio.owner, ' Bo@Mole-End.example ', WORDS));
  return { ...studio, address: lastPart(path) };
}

const BO = { name: 'Bo', password: 'five words that Bo chose' };

describe('a teacher', () => {
  it('comes in by an invitation, once', async () => {
    const { context, owner, address } = await invited();
    expect(mailed(getOwned(owner))).toBe(`/invitation/${address}`);
    expect(invitationOf(context, address)).toMatchObject({
      ...{ studio: 'Mole End', email: 'bo@mole-end.example', known: false },
    });
    const { token, role } = must(await acceptInvitation(context, { ...BO, address }, browser()));
    expect(role).toBe('teacher');
    expect(whoIs(context, token)?.name).toBe('Bo');
    expect(codesOf(await acceptInvitation(context, { ...BO, address }, browser()))).toEqual([
      'link-over',
    ]);
    const kinds = getOwned(owner).audit.map(({ kind }) => kind);
    expect(kinds.slice(0, 3)).toEqual(['joined', 'invited', 'opened']);
  });

  it('does not come in by one that was taken back, is too old, or is forged', async () => {
    const { context, owner, address } = await invited();
    const forged = [address.slice(0, -1), `${address}a`, 'x'.repeat(48), ''];
    for (const one of forged) expect(invitationOf(context, one)).toBeNull();
    context.at += 8 * DAY;
    expect(invitationOf(context, address)).toBeNull();
    context.at -= 8 * DAY;
    const [waiting] = getOwned(owner).invitations;
    must(endInvitation(owner, waiting?.id ?? ''));
    expect(invitationOf(context, address)).toBeNull();
  });

  it('with an account already has it in both studios, by the password they have', async () => {
    const { context, owner } = await ownedStudio();
    const me = signedInAs(context, owner.id);
    const quay = { studio: 'Quay Street', teacher: 'Ada', zone: 'UTC' };
    const second = must(openAnother(context, me, quay));
    expect(getAccount(context, me).studios.map(({ name }) => name)).toEqual([
      'Mole End',
      'Quay Street',
    ]);
    must(switchStudio(context, me, second));
    const stranger = must(addStudent(owner, { name: 'Ines', about: '' }));
    expect(codesOf(switchStudio(context, me, stranger))).toEqual(['not-yours']);
    expect(codesOf(openAnother(context, signedInAs(context, stranger), quay))).toEqual([
      'not-yours',
    ]);
    // A studio where Ada teaches already does not invite her; Bo’s does.
    expect(codesOf(inviteTeacher(owner, ADA.email, WORDS))).toEqual(['teaches-here']);
    const boys = must(openStudio(context, { studio: 'Toad Hall', teacher: 'Bo', zone: 'UTC' }));
    const bo = must(asOwner(context, viewerOf(context, boys)));
    const address = lastPart(must(inviteTeacher(bo, ADA.email, WORDS)));
    const again = lastPart(must(inviteTeacher(bo, ADA.email, WORDS)));
    expect(invitationOf(context, address)?.known).toBe(true);
    const wrong = { address, name: 'Ada', password: 'not what it is' };
    expect(codesOf(await acceptInvitation(context, wrong, browser()))).toEqual(['sign-in-wrong']);
    const right = { address, name: 'Ada', password: ADA.password };
    expect(must(await acceptInvitation(context, right, browser())).role).toBe('teacher');
    expect(getAccount(context, me).studios).toHaveLength(3);
    const twice = { ...right, address: again };
    expect(codesOf(await acceptInvitation(context, twice, browser()))).toEqual(['teaches-here']);
  });

  it('sees whom they teach, a student may have two, and hands them over when they leave', async () => {
    const { context, owner, address } = await invited();
    const { token } = must(await acceptInvitation(context, { ...BO, address }, browser()));
    const bo = must(asTeacher(context, whoIs(context, token)));
    const ines = must(addStudent(owner, { name: 'Ines', about: '' }));
    const omar = must(addStudent(bo, { name: 'Omar', about: '' }));
    const names = (me: typeof bo) =>
      must(listStudents(me))
        .map(({ student }) => student.name)
        .sort();
    expect(names(bo)).toEqual(['Omar']);
    expect(names(owner)).toEqual(['Ines', 'Omar']);
    must(setTeaching(owner, ines, bo.id, true));
    expect(names(bo)).toEqual(['Ines', 'Omar']);
    expect(must(getWaysIn(owner, ines)).teachers.map(({ name }) => name)).toEqual(['Ada', 'Bo']);
    must(setTeaching(bo, ines, owner.id, false));
    expect(codesOf(setTeaching(bo, omar, bo.id, false))).toEqual(['last-teacher']);
    expect(codesOf(letTeacherGo(owner, owner.id, bo.id))).toEqual(['not-found']);
    expect(codesOf(letTeacherGo(owner, bo.id, ines))).toEqual(['not-found']);
    must(letTeacherGo(owner, bo.id, owner.id));
    expect(whoIs(context, token)).toBeNull();
    const boAgain = { email: 'bo@mole-end.example', password: BO.password };
    expect(codesOf(await signInWith(context, boAgain, browser()))).toEqual(['sign-in-wrong']);
    expect(must(getWaysIn(owner, omar)).teachers.map(({ name }) => name)).toEqual(['Ada']);
  });
});

describe('an owner', () => {
  it('hands the studio to another teacher, teaches on, and owns nothing more', async () => {
    const { context, owner, address } = await invited();
    const ines = must(addStudent(owner, { name: 'Ines', about: '' }));
    expect(codesOf(handStudioOver(owner, owner.id))).toEqual(['not-found']);
    expect(codesOf(handStudioOver(owner, ines))).toEqual(['not-found']);
    const { token } = must(await acceptInvitation(context, { ...BO, address }, browser()));
    const bo = must(asTeacher(context, whoIs(context, token)));
    // From before a student's teachers were written down.
    connectionOf(context.db).$client.exec('delete from teaching');
    must(handStudioOver(owner, bo.id));
    const roles = must(asOwner(context, whoIs(context, token))).owned.staff();
    expect(roles.map(({ name, role }) => [name, role])).toEqual([
      ['Ada', 'teacher'],
      ['Bo', 'owner'],
    ]);
    const ada = { studioId: owner.store.id, personId: owner.id, role: 'teacher' } as const;
    expect(codesOf(asOwner(context, ada))).toEqual(['not-yours']);
    const teacher = must(asTeacher(context, ada));
    expect(must(listStudents(teacher)).map(({ student }) => student.name)).toEqual(['Ines']);
  });

  it('goes by another name', async () => {
    const { context, owner } = await ownedStudio();
    expect(codesOf(renameMe(owner, '  '))).toEqual(['name-missing']);
    must(renameMe(owner, ' Ada L. '));
    const { id: personId, store } = owner;
    expect(
      must(asOwner(context, { studioId: store.id, personId, role: 'owner' })).owned.staff(),
    ).toMatchObject([{ name: 'Ada L.' }]);
  });

  it('sees who has no way in yet', async () => {
    const { context, owner } = await ownedStudio();
    const [ines, omar, pia] = ['Ines', 'Omar', 'Pia'].map((name) =>
      must(addStudent(owner, { name, about: '' })),
    ) as [PersonId, PersonId, PersonId];
    const without = () =>
      must(listStudents(owner)).flatMap(({ student, getsIn }) => (getsIn ? [] : [student.name]));
    expect(without()).toEqual(['Ines', 'Omar', 'Pia']);
    const path = must(openLink(owner, ines, false));
    must(makeCode(owner, omar));
    expect(without()).toEqual(['Pia']);
    // A device stays in after its link was taken away.
    must(enterByLink(context, lastPart(path), browser()));
    must(endLink(owner, ines));
    expect(without()).toEqual(['Pia']);
    must(endDevice(owner, ines, null));
    expect(without()).toEqual(['Ines', 'Pia']);
    // A code that nobody typed in time is none; on the studio's tablet everybody has a number.
    must(makeCode(owner, pia));
    const inAWeek = { ...owner, now: () => context.now() + 7 * 86_400_000 } as typeof owner;
    expect(must(listStudents(inAWeek)).filter(({ getsIn }) => getsIn)).toEqual([]);
    must(makeTablet(owner, 'Hall'));
    expect(without()).toEqual([]);
  });
});

describe('a student', () => {
  async function withInes() {
    const studio = await ownedStudio();
    const id = must(addStudent(studio.owner, { name: 'Ines', about: '' }));
    return { ...studio, id };
  }

  it('comes in by a private link, on as many devices as they like', async () => {
    const { context, owner, id } = await withInes();
    const path = must(openLink(owner, id, false));
    expect(must(openLink(owner, id, false))).toBe(path);
    const address = lastPart(path);
    expect(whoseLink(context, address)).toEqual({
      ...{ personId: id, name: 'Ines', studio: 'Mole End' },
    });
    const tokens = [1, 2].map(() => must(enterByLink(context, address, browser())).token);
    for (const token of tokens) expect(whoIs(context, token)?.personId).toBe(id);
    expect(must(getWaysIn(owner, id)).devices).toHaveLength(2);
    must(endDevice(owner, id, whoIs(context, tokens[0] ?? '')?.id ?? ''));
    expect(tokens.map((token) => whoIs(context, token) !== null)).toEqual([false, true]);
    must(endDevice(owner, id, null));
    expect(whoIs(context, tokens[1] ?? '')).toBeNull();
  });

  it('does not come in by a link that was renewed, taken away or changed', async () => {
    const { context, owner, id } = await withInes();
    const first = lastPart(must(openLink(owner, id, false)));
    const second = lastPart(must(openLink(owner, id, true)));
    expect(codesOf(enterByLink(context, first, browser()))).toEqual(['link-over']);
    expect(enterByLink(context, second, browser()).ok).toBe(true);
    // The id of one with the seal of another.
    const mixed = first.slice(0, 22) + second.slice(22);
    expect(codesOf(enterByLink(context, mixed, browser()))).toEqual(['link-over']);
    must(endLink(owner, id));
    expect(codesOf(enterByLink(context, second, browser()))).toEqual(['link-over']);
  });

  it('comes in by a code and the studio’s name, once, within three days', async () => {
    const { context, owner, id } = await withInes();
    const code = must(makeCode(owner, id));
    expect(code).toMatch(/^[BCDFGHJKMNPQRTVWXY34679]{6}$/);
    const typed = {
      studio: ' mole  END ',
      code: `${code.slice(0, 3)} ${code.slice(3)}`.toLowerCase(),
    };
    expect(codesOf(await enterByCode(context, { ...typed, studio: 'Other' }, browser()))).toEqual([
      'code-wrong',
    ]);
    const { token } = must(await enterByCode(context, typed, browser()));
    expect(whoIs(context, token)?.personId).toBe(id);
    expect(codesOf(await enterByCode(context, typed, browser()))).toEqual(['code-wrong']);
    const late = { studio: 'Mole End', code: must(makeCode(owner, id)) };
    context.at += 3 * DAY;
    expect(codesOf(await enterByCode(context, late, browser()))).toEqual(['code-wrong']);
  });

  it('of two who type one code at once, one comes in', async () => {
    const { context, owner, id } = await withInes();
    const typed = { studio: 'Mole End', code: must(makeCode(owner, id)) };
    const answers = await Promise.all(
      Array.from({ length: 5 }, () => enterByCode(context, typed, browser())),
    );
    expect(answers.filter(({ ok }) => ok)).toHaveLength(1);
  });

  it('comes in on the studio’s tablet by four digits, and nowhere else', async () => {
    const { context, owner, id } = await withInes();
    const tablet = must(makeTablet(owner, 'Stage left'));
    const { pin } = must(getWaysIn(owner, id));
    expect(pin).toMatch(/^\d{4}$/);
    expect(tabletNow(context, tablet)).toMatchObject({
      ...{ name: 'Stage left', studio: 'Mole End', students: [{ id, name: 'Ines' }] },
    });
    expect(tabletNow(context, 'x')).toBeNull();
    const typed = { person: id, pin };
    expect(codesOf(await enterByPin(context, 'x', typed, browser()))).toEqual(['link-over']);
    const { token } = must(await enterByPin(context, tablet, typed, browser()));
    expect(whoIs(context, token)?.onTablet).toBe(true);
    context.at += 5 * HOUR;
    expect(whoIs(context, token)).toBeNull();
    const again = must(await enterByPin(context, tablet, typed, browser())).token;
    const next = must(renewPin(owner, id));
    expect(next).not.toBe(pin);
    expect(codesOf(await enterByPin(context, tablet, typed, browser()))).toEqual(['pin-wrong']);
    const [one] = getOwned(owner).tablets;
    must(endTablet(owner, one?.id ?? ''));
    expect(whoIs(context, again)).toBeNull();
    const right = { person: id, pin: next };
    expect(codesOf(await enterByPin(context, tablet, right, browser()))).toEqual(['link-over']);
  });

  it('whose number is tried is slowed, and no other', async () => {
    const { context, owner, id } = await withInes();
    const omar = must(addStudent(owner, { name: 'Omar', about: '' }));
    const tablet = must(makeTablet(owner, 'Stage left'));
    const { pin } = must(getWaysIn(owner, id));
    const wrong = { person: id, pin: pin === '0000' ? '0001' : '0000' };
    for (let time = 0; time < 5; time += 1) await enterByPin(context, tablet, wrong, browser());
    const right = { person: id, pin };
    expect(codesOf(await enterByPin(context, tablet, right, browser()))).toEqual([
      'too-many-tries',
    ]);
    const his = { person: omar, pin: must(getWaysIn(owner, omar)).pin };
    expect((await enterByPin(context, tablet, his, browser())).ok).toBe(true);
    // Nor is the link.
    const path = must(openLink(owner, id, false));
    expect(enterByLink(context, lastPart(path), browser()).ok).toBe(true);
  });
});

describe('a reader', () => {
  it('reads one record by a link, until it ends', async () => {
    const { context, owner } = await ownedStudio();
    const id = must(addStudent(owner, { name: 'Ines', about: '' }));
    const reading = must(letRead(owner, id, 'Mia', 30));
    const address = lastPart(reading.path);
    expect(must(readByLink(context, address))).toMatchObject({
      ...{ studio: 'Mole End', reader: 'Mia', record: { student: { name: 'Ines' } } },
    });
    // It is no way in.
    expect(codesOf(enterByLink(context, address, browser()))).toEqual(['link-over']);
    context.at += 31 * DAY;
    expect(codesOf(readByLink(context, address))).toEqual(['link-over']);
    context.at -= 11 * DAY;
    const again = must(renewReading(owner, id, reading.id));
    expect(again).toMatchObject({ name: 'Mia', endsAt: context.at + 30 * DAY });
    expect(codesOf(readByLink(context, address))).toEqual(['link-over']);
    expect(must(readByLink(context, lastPart(again.path))).reader).toBe('Mia');
    expect(codesOf(renewReading(owner, id, reading.id))).toEqual(['not-found']);
    must(endReading(owner, id, again.id));
    expect(codesOf(readByLink(context, lastPart(again.path)))).toEqual(['link-over']);
    expect(codesOf(letRead(owner, id, ' ', 30))).toEqual(['name-missing']);
  });
});

describe('a shared program', () => {
  it('shows what it holds and no student, as long as it is shared', () => {
    const context = testContext();
    const { teacher, program } = smallStudio(context);
    expect(must(getShared(teacher, program))).toBeNull();
    const address = lastPart(must(shareProgram(teacher, program, true))?.path ?? '');
    expect(must(shareProgram(teacher, program, true))?.path).toContain(address);
    const shared = must(openShared(context, address));
    expect(shared.program.name).toBe('Autumn');
    expect(shared.program.given).toEqual([]);
    expect(JSON.stringify(shared)).not.toContain('Ines');
    must(shareProgram(teacher, program, false));
    expect(codesOf(openShared(context, address))).toEqual(['link-over']);
  });
});

describe('erasing a student', () => {
  it('leaves nothing of them in the file, and everything of the others', () => {
    const folder = mkdtempSync(join(tmpdir(), 'mivvel-erase-'));
    const file = join(folder, 'mivvel.sqlite');
    const context = { db: openDb(file), at: Date.UTC(2026, 0, 5, 17), now: Date.now };
    const studio = smallStudio(context);
    const { teacher, id } = studio;
    const name = 'Quintessa Zabriskie';
    const other = must(addStudent(teacher, { name, about: 'plays on Tuesdays' }));
    log(studio.student, id, tryOf(studio));
    must(openLink(teacher, other, false));
    must(makeCode(teacher, other));
    must(letRead(teacher, other, 'Grandmother Zabriskie', null));
    must(exportLog(teacher, other));
    const note = { kind: 'note' as const, id: 'n'.repeat(22) as never, agoMs: 0 };
    log(teacher, other, { ...note, body: { text: 'Sing it, Quintessa.' } });
    const path = must(openLink(teacher, other, false));
    const { token } = must(enterByLink(context, lastPart(path), browser()));
    const { $client } = connectionOf(context.db);
    $client.pragma('wal_checkpoint(TRUNCATE)');
    expect(readFileSync(file).includes('Quintessa')).toBe(true);
    expect(codesOf(eraseStudent(teacher, other, 'Quintessa'))).toEqual(['name-differs']);
    must(eraseStudent(teacher, other, name.toLowerCase()));
    for (const end of ['', '-wal']) {
      const bytes = readFileSync(file + end);
      for (const word of ['Quintessa', 'Zabriskie', 'Tuesdays']) {
        expect(bytes.includes(word)).toBe(false);
      }
    }
    expect(whoIs(context, token)).toBeNull();
    const tables = $client.prepare("select name from sqlite_master where type = 'table'");
    for (const table of tables.pluck().all() as string[]) {
      const rows = JSON.stringify($client.prepare(`select * from "${table}"`).all());
      expect(rows).not.toContain(other);
    }
    expect($client.prepare("select count(*) from entry where kind = 'try'").pluck().get()).toBe(1);
    expect($client.pragma('foreign_key_check')).toEqual([]);
    expect($client.pragma('integrity_check', { simple: true })).toBe('ok');
    closeDb(context.db);
    rmSync(folder, { recursive: true });
  });
});

describe('a stolen file', () => {
  it('opens nothing: no link, code, number, cookie, password or mail can be made of it', async () => {
    const { context, owner } = await ownedStudio();
    const id = must(addStudent(owner, { name: 'Ines', about: '' }));
    const link = lastPart(must(openLink(owner, id, false)));
    const code = must(makeCode(owner, id));
    const tablet = must(makeTablet(owner, 'Stage'));
    const invitation = lastPart(must(inviteTeacher(owner, 'bo@mole-end.example', WORDS)));
    must(await forgotPassword(context, ADA.email, WORDS, browser()));
    const reset = lastPart(mailed(getOwned(owner)));
    const { token } = must(enterByLink(context, link, browser()));
    const bytes = connectionOf(context.db).$client.serialize();
    const secrets = [link.slice(22), code, tablet, invitation.slice(22), reset, token];
    for (const secret of [...secrets, ADA.password]) expect(bytes.includes(secret)).toBe(false);
    // Elsewhere, with another secret, what is in it opens nothing.
    vi.stubEnv('MIVVEL_SECRET', 'the secret of whoever has stolen the file');
    expect(codesOf(enterByLink(context, link, browser()))).toEqual(['link-over']);
    expect(invitationOf(context, invitation)).toBeNull();
    const typed = { studio: 'Mole End', code };
    expect(codesOf(await enterByCode(context, typed, browser()))).toEqual(['code-wrong']);
    expect(getOwned(owner).mails.map(({ letter }) => letter)).toEqual([null, null]);
  });
});

describe('roles', () => {
  it('are the owner, teachers and students; the first who opens a studio owns it', () => {
    expect(ROLES).toEqual(['owner', 'teacher', 'student']);
    const context = testContext();
    const id = must(openStudio(context, { studio: 'A', teacher: 'Ada', zone: 'UTC' }));
    expect(viewerOf(context, id)?.role).toBe('owner');
    expect(viewerOf(context, 'nobody' as PersonId)).toBeNull();
  });
});
