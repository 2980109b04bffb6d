import { revalidatePath } from 'next/cache';
import { NextResponse } from 'next/server';
import type * as z from 'zod/mini';
import { fail, misfitsOf, ok, type Result } from '@/core/issue';
import {
  asEither,
  asOwner,
  asStudent,
  asTeacher,
  liveContext,
  storageIssue,
  type Browser,
  type Context,
  type Owner,
  type SignedIn,
  type Student,
  type Teacher,
} from '@/server';
import { reachAction } from '@/server/reached';
import { jsonOf } from './body';
import { browserNow, viewerActing } from './viewer';

/** The one way from a browser to a use case, whether by an action, a form or a route: who asks, whether
 * what came has its shape, then the use case; all that can be wrong comes back as issues. */
const WHO = { owner: asOwner, teacher: asTeacher, student: asStudent, either: asEither };

interface Asking {
  readonly owner: Owner;
  readonly teacher: Teacher;
  readonly student: Student;
  readonly either: Teacher | Student;
}

type Shapes = readonly z.ZodMiniType[];
type Values<In extends Shapes> = { -readonly [Key in keyof In]: z.output<In[Key]> };

function readAll<In extends Shapes>(shapes: In, values: readonly unknown[]): Result<Values<In>> {
  const read = shapes.map((shape, index) => shape.safeParse(values[index]));
  const wrong = read.flatMap((one) => (one.success ? [] : one.error.issues));
  if (wrong.length > 0) return fail({ code: 'input-shape', path: [], misfits: misfitsOf(wrong) });
  return ok(read.map((one) => one.data) as Values<In>);
}

/** What a use case answers; trouble with the file or the disk is an answer, too, so that a form keeps what was typed and
 * what waits goes on waiting. */
export async function tried<T>(run: () => Promise<Result<T>> | Result<T>): Promise<Result<T>> {
  reachAction();
  try {
    return await run();
  } catch (error) {
    const issue = storageIssue(error);
    if (issue) return fail(issue);
    throw error;
  }
}

/** Busy and broken disks are for later; what asked may ask again. */
function statusOf(result: Result<unknown>): number {
  if (result.ok) return 200;
  return result.issues.some(({ code }) => code === 'storage') ? 503 : 409;
}

async function ask<Who extends keyof Asking>(who: Who): Promise<Result<Asking[Who]>> {
  const viewer = await viewerActing();
  return WHO[who](liveContext(), viewer) as Result<Asking[Who]>;
}

/** An action that anybody of a kind may call.
 * @param changes whether pages that were made before show what it changed */
function actionFor<Who extends keyof Asking>(who: Who) {
  return <const In extends Shapes, T>(
    shapes: In,
    run: (me: Asking[Who], ...values: Values<In>) => Promise<Result<T>> | Result<T>,
    { changes = false } = {},
  ) =>
    (...values: { -readonly [Key in keyof In]: unknown }): Promise<Result<T>> =>
      tried(async () => {
        const me = await ask(who);
        if (!me.ok) return me;
        const read = readAll(shapes, values);
        if (!read.ok) return read;
        const result = await run(me.value, ...read.value);
        if (changes && result.ok) revalidatePath('/', 'layout');
        return result;
      });
}

export const ownerAction = actionFor('owner');
export const teacherAction = actionFor('teacher');
export const eitherAction = actionFor('either');

/** An action about whoever is signed in, whatever they are in the studio. */
export function ownAction<const In extends Shapes, T>(
  shapes: In,
  run: (at: OwnPlace, ...values: Values<In>) => Promise<Result<T>> | Result<T>,
) {
  return (...values: { -readonly [Key in keyof In]: unknown }): Promise<Result<T>> =>
    tried(async () => {
      const me = await viewerActing();
      if (!me) return fail({ code: 'not-yours', path: [], what: 'page' });
      const read = readAll(shapes, values);
      if (!read.ok) return read;
      const result = await run(
        { context: liveContext(), me, browser: await browserNow() },
        ...read.value,
      );
      if (result.ok) revalidatePath('/', 'layout');
      return result;
    });
}

interface OwnPlace {
  readonly context: Context;
  readonly me: SignedIn;
  readonly browser: Browser;
}

/** What a teacher's form asks for; its fields have to have a shape. */
export async function teacherForm<Fields, T>(
  form: FormData,
  shape: z.ZodMiniType<Fields>,
  run: (me: Teacher, fields: Fields) => Result<T>,
): Promise<Result<T>> {
  return tried(async () => {
    const me = await ask('teacher');
    if (!me.ok) return me;
    const read = readForm(form, shape);
    return read.ok ? run(me.value, read.value) : read;
  });
}

/** The fields of a form, in their shape; what else a browser may have sent in place of a form has none. */
export function readForm<Fields>(form: unknown, shape: z.ZodMiniType<Fields>): Result<Fields> {
  reachAction();
  if (!(form instanceof FormData)) {
    return fail({ code: 'input-shape', path: [], misfits: [{ at: '', problem: 'kind' }] });
  }
  const read = readAll([shape], [Object.fromEntries(form)]);
  return read.ok ? ok(read.value[0] as Fields) : read;
}

/** A route that a browser posts to. */
function routeFor<Who extends keyof Asking>(who: Who) {
  return <Input, T>(
    shape: z.ZodMiniType<Input>,
    run: (me: Asking[Who], input: Input) => Promise<Result<T>> | Result<T>,
    { changes = false } = {},
  ) =>
    async (request: Request): Promise<NextResponse> => {
      const me = await tried(() => ask(who));
      if (!me.ok) return reply(statusOf(me) === 503 ? 503 : 401, me);
      const json = await jsonOf(request);
      if (!json.ok) return reply(413, json);
      const read = readAll([shape], [json.value]);
      if (!read.ok) return reply(400, read);
      const result = await tried(() => run(me.value, read.value[0] as Input));
      if (changes && result.ok) revalidatePath('/', 'layout');
      return reply(statusOf(result), result);
    };
}

export const teacherRoute = routeFor('teacher');

/** On this one a student plays. */
export const eitherRoute = routeFor('either');

/** A route that answers with one line of JSON after the other, as they come; whoever asked can stop.
 * @param run @returns issues at once, or lines; a line may be issues too */
export function eitherStream<Input>(
  shape: z.ZodMiniType<Input>,
  run: (me: Teacher | Student, input: Input) => Promise<Result<AsyncIterable<unknown>>>,
) {
  return async (request: Request): Promise<Response> => {
    const me = await tried(() => ask('either'));
    if (!me.ok) return reply(statusOf(me) === 503 ? 503 : 401, me);
    const json = await jsonOf(request);
    if (!json.ok) return reply(413, json);
    const read = readAll([shape], [json.value]);
    if (!read.ok) return reply(400, read);
    const result = await tried(() => run(me.value, read.value[0] as Input));
    if (!result.ok) return reply(statusOf(result), result);
    const lines = result.value[Symbol.asyncIterator]();
    const encoder = new TextEncoder();
    const body = new ReadableStream<Uint8Array>({
      async pull(controller) {
        const next = await lines.next();
        if (next.done) controller.close();
        else controller.enqueue(encoder.encode(`${JSON.stringify(next.value)}\n`));
      },
      async cancel() {
        await lines.return?.();
      },
    });
    return new Response(body, { headers: { 'content-type': 'application/x-ndjson' } });
  };
}

function reply(status: number, result: Result<unknown>): NextResponse {
  return NextResponse.json(result, { status });
}
