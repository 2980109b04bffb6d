import { randomBytes } from 'node:crypto';
import { Agent, request } from 'node:http';
import { must } from '@/core/issue';
import { makeId, type Id } from '@/core/studio';
import { getToday, type Student } from '@/server';

/** A student as a browser has them: the cookie, and what they play. */
export interface Player {
  readonly cookie: string;
  readonly place: { readonly assignmentId: string; readonly itemId: string };
}

/** @param token what the cookie of whoever plays holds */
export function playerOf(me: Student, token: string): Player {
  const [first] = must(getToday(me));
  if (!first) throw new Error('nothing to play');
  const place = { assignmentId: first.assignmentId, itemId: first.item.id };
  return { cookie: `mivvel-session=${token}`, place };
}

const agent = new Agent({ keepAlive: true, maxSockets: Infinity });

function newId(): Id<string> {
  return makeId(Date.now(), randomBytes(12));
}

/** What came of one batch: how long it took, and which of its entries are in the log by what was answered. */
export interface Answer {
  readonly ms: number;
  readonly taken: readonly string[];
  /** Whether it was refused; a connection that broke is neither taken nor refused. */
  readonly refused: boolean;
}

/** A student sends tries. */
export function send(url: string, { cookie, place }: Player, count = 1): Promise<Answer> {
  const ids = Array.from({ length: count }, newId);
  const body = { bpm: 60, rung: null, verdict: 'clean', bars: 8, seconds: 30 };
  const entries = ids.map((id) => ({
    ...{ kind: 'try', id, agoMs: 0, sessionId: newId(), ...place, body },
  }));
  return post(`${url}/api/log`, cookie, { entries }).then(({ ms, status, text }) => {
    const fine = status === 200;
    const answer = fine ? (JSON.parse(text) as { value: { answers: Answered[] } }) : null;
    const taken = answer?.value.answers.flatMap(({ id, result }) => (result.ok ? [id] : [])) ?? [];
    return { ms, taken, refused: status > 0 && taken.length < count };
  });
}

interface Answered {
  readonly id: string;
  readonly result: { readonly ok: boolean };
}

/** @returns status 0 where the connection broke */
export function post(
  address: string,
  cookie: string,
  json: unknown,
): Promise<{ ms: number; status: number; text: string }> {
  const { origin } = new URL(address);
  const text = JSON.stringify(json);
  const from = performance.now();
  return new Promise((resolve) => {
    const headers = { 'content-type': 'application/json', origin, cookie };
    const sent = request(address, { method: 'POST', agent, headers }, (answer) => {
      let read = '';
      answer.setEncoding('utf8');
      answer.on('data', (chunk: string) => (read += chunk));
      answer.on('end', () =>
        resolve({ ms: performance.now() - from, status: answer.statusCode ?? 0, text: read }),
      );
      answer.on('error', () => resolve({ ms: performance.now() - from, status: 0, text: '' }));
    });
    sent.on('error', () => resolve({ ms: performance.now() - from, status: 0, text: '' }));
    sent.end(text);
  });
}

/** What a class came to. */
export interface Load {
  readonly answers: readonly Answer[];
  readonly seconds: number;
  /** Answers of whoever got fewest and most. */
  readonly fewest: number;
  readonly most: number;
}

/** Everybody sends one try after the other for a while.
 * @param pause ms between the tries of one student, who begins at a moment of their own within it */
export async function play(
  url: string,
  players: readonly Player[],
  seconds: number,
  pause: number,
): Promise<Load> {
  const end = performance.now() + seconds * 1000;
  const wait = (ms: number) => new Promise((go) => setTimeout(go, ms));
  const own = await Promise.all(
    players.map(async (player, index) => {
      const answers: Answer[] = [];
      await wait((pause * index) / players.length);
      while (performance.now() < end) {
        answers.push(await send(url, player));
        if (pause > 0) await wait(pause);
      }
      return answers;
    }),
  );
  const counts = own.map((one) => one.length);
  return {
    ...{ answers: own.flat(), seconds },
    ...{ fewest: Math.min(...counts), most: Math.max(...counts) },
  };
}
