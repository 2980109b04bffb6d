import { familyOf } from '@/core/family';
import { must } from '@/core/issue';
import { NOTHING_IMPORTED, type PersonId, type Viewer } from '@/core/studio';
import { openDb } from '@/db';
import { connectionOf } from '@/db/connection';
import {
  addStudent,
  asOwner,
  asTeacher,
  giveProgram,
  inviteTeacher,
  letRead,
  makeTablet,
  newId,
  openLink,
  saveMaterial,
  setTeaching,
  signInAs,
  takeBack,
  viewerOf,
  type Context,
} from '@/server';
import {
  cells,
  decision,
  log,
  smallStudio,
  studentAt,
  takenBack,
  testContext,
  tryOf,
} from '@/server/studio.fixture';

/** Who tries a door: the studio's owner, a teacher of its students, a teacher there who teaches none of them, a student,
 * a fellow student, the owner of another studio, nobody. */
export const VIEWERS = [
  'owner',
  'teacher',
  'colleague',
  'student',
  'fellow',
  'stranger',
  'nobody',
] as const;
export type ViewerName = (typeof VIEWERS)[number];

const seenIn = (context: Context) => (of: PersonId) => {
  const found = viewerOf(context, of);
  if (!found) throw new Error('nobody');
  const { name: _, ...viewer } = found;
  return viewer;
};

const ownerIn = (context: Context) => (viewer: Viewer) =>
  connectionOf(context.db)
    .$client.prepare("select id from person where studio_id = ? and role = 'owner'")
    .pluck()
    .get(viewer.studioId) as PersonId;

/** A studio with one of everything, beside another studio of the same kind. */
function build() {
  const context = testContext();
  const [seen, ownerOf] = [seenIn(context), ownerIn(context)];
  const studio = smallStudio(context);
  const { teacher, student, id, program } = studio;
  const fellow = must(addStudent(teacher, { name: 'Omar', about: '' }));
  const ended = must(giveProgram(teacher, program, fellow));
  must(takeBack(teacher, ended, true));
  const content = { text: '4 4 4 4' };
  const own = { id: null, kind: 'line' as const, name: 'Line', trains: '', meter: '4/4', content };
  const material = must(saveMaterial(teacher, own)).id;
  const entry = tryOf(studio);
  log(student, id, entry);
  const decided = decision(studio, { does: 'move', rung: 1 });
  const note = {
    kind: 'note' as const,
    id: newId<'entry'>(teacher),
    agoMs: 0,
    body: { text: 'Sing it.' },
  };
  log(teacher, id, decided, note);
  const away = takenBack(note.id, teacher);
  log(teacher, id, away);
  const owner = must(asOwner(context, seen(ownerOf(seen(id)))));
  const staff = (['teacher', 'colleague'] as const).map((name) => {
    const of = newId<'person'>(context);
    owner.store.addPerson({ id: of, role: 'teacher', name, about: '', kit: null });
    return of;
  });
  for (const one of [id, fellow]) must(setTeaching(owner, one, staff[0] as PersonId, true));
  const mail = { origin: 'http://localhost', words: () => ({ subject: '', text: '' }) };
  must(inviteTeacher(owner, 'bo@example.com', mail));
  must(makeTablet(owner, 'Stage'));
  const [invitation] = owner.owned.invitations.list(context.now());
  const [tablet] = owner.owned.tablets();
  const reading = must(letRead(owner, id, 'Mia', null)).id;
  must(openLink(owner, id, false));
  const other = smallStudio(context);
  const viewers: Readonly<Record<ViewerName, Viewer | null>> = {
    owner: seen(ownerOf(seen(id))),
    teacher: seen(staff[0] as PersonId),
    colleague: seen(staff[1] as PersonId),
    student: seen(id),
    fellow: seen(fellow),
    stranger: seen(ownerOf(seen(other.id))),
    nobody: null,
  };
  const browser = { agent: '', address: '' };
  const clock = { ...context, now: Date.now };
  const tokens = new Map(
    VIEWERS.flatMap((who) => {
      const viewer = viewers[who];
      return viewer ? [[who, signInAs(clock, viewer, browser)] as const] : [];
    }),
  );
  return {
    context,
    ...studio,
    fellow,
    ended,
    material,
    tryId: entry.id,
    decided: decided.id,
    noteAway: away.id,
    recipe: cells(),
    wholeFamily: familyOf(cells()),
    viewers,
    tokens,
    staff,
    reading,
    invitation: invitation?.id ?? '',
    tablet: tablet?.id ?? '',
  };
}

export type World = ReturnType<typeof build>;

let built: { readonly world: World; readonly bytes: Buffer } | undefined;

/** A file of its own that holds the studio; nothing done to one is seen in another. */
export function makeWorld(): World {
  if (!built) {
    const world = build();
    built = { world, bytes: connectionOf(world.context.db).$client.serialize() };
  }
  const { world, bytes } = built;
  const context = { ...world.context, db: openDb(bytes), now: () => world.context.at };
  const teacher = must(asTeacher(context, world.viewers.teacher));
  return { ...world, context, teacher, student: studentAt(context, world.id) };
}

/** All that the studio's rows say, and those of the studio itself. */
export function rowsOf({ context, viewers }: World): string {
  const { $client } = connectionOf(context.db);
  const studioId = viewers.teacher?.studioId;
  const tables = $client
    .prepare("select name from sqlite_master where type = 'table' order by name")
    .pluck()
    .all() as string[];
  return JSON.stringify(
    tables.flatMap((table) => {
      const columns = $client
        .prepare(`select name from pragma_table_info('${table}')`)
        .pluck()
        .all();
      const by = table === 'studio' ? 'id' : 'studio_id';
      if (!columns.includes(by)) return [];
      return $client
        .prepare(`select * from "${table}" where ${by} = ? order by 1, 2`)
        .all(studioId);
    }),
  );
}

/** Ids of the studio's rows, none of which anybody else may be told. */
export function idsOf(world: World): readonly string[] {
  const found = rowsOf(world).match(/"[0-9a-hjkmnp-tv-z]{22}"/g) ?? [];
  return [...new Set(found.map((id) => id.slice(1, -1)))];
}

/** What a file would have brought, of all that is here. */
export function importedOf({ id, material, exercise, program, tryId }: World) {
  return {
    ...NOTHING_IMPORTED,
    tries: [{ student: id, ids: [tryId] }],
    people: [id],
    materials: [material],
    exercises: [exercise.id],
    programs: [program],
  };
}
