import { NextResponse, type NextRequest } from 'next/server';
import type { Issue } from '@/core/issue';
import { isOurHost, isOurOrigin } from '@/server/hosts';
import { readSettings } from '@/server/settings';
import { sayIssue } from '@/words';
import { sayIssuesIn } from '@/words/issue-languages';
import { mostBytesAt } from './app/body';

/** What every answer says besides its content. */
const HEADERS = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'permissions-policy': 'camera=(), geolocation=(), payment=(), usb=()',
};

const { MIVVEL_HOSTS: NAMED } = readSettings(process.env);

/** What a page may load and run: its own, and scripts that carry the number of this one answer. */
function policyOf(nonce: string): string {
  const evaluates = process.env.NODE_ENV === 'production' ? '' : " 'unsafe-eval'";
  return [
    "default-src 'none'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${evaluates}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "manifest-src 'self'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
    "object-src 'none'",
  ].join('; ');
}

/** The door before all others: who is not meant is not answered, what is written comes from a page of ours. */
export function proxy(request: NextRequest): NextResponse {
  const { method, headers, nextUrl } = request;
  const host = headers.get('host');
  if (!isOurHost(host, NAMED)) return unknownHost(host ?? '');
  const writes = method !== 'GET' && method !== 'HEAD';
  if (writes && !isOurOrigin(headers.get('origin'), host)) return refused(403);
  const isApi = nextUrl.pathname.startsWith('/api/');
  const type = headers.get('content-type') ?? '';
  if (writes && isApi && !/^application\/json\b/i.test(type)) return refused(415);
  const most = mostBytesAt(nextUrl.pathname);
  // What does not say how long it is, such as an action that Next hands on to the page that has it, is counted while it
  // is read.
  if (writes && !(Number(headers.get('content-length') ?? 0) <= most)) {
    const issue: Issue = { code: 'body-large', path: [], most: most / 1e6 };
    return NextResponse.json({ ok: false, issues: [issue] }, { status: 413, headers: HEADERS });
  }
  const policy = policyOf(btoa(crypto.randomUUID()));
  const forPage = new Headers(headers);
  forPage.set('content-security-policy', policy);
  const answer = NextResponse.next({ request: { headers: forPage } });
  answer.headers.set('content-security-policy', policy);
  for (const [name, value] of Object.entries(HEADERS)) answer.headers.set(name, value);
  return answer;
}

/** Words for whoever typed a name that nobody told Mivvel; a page elsewhere learns nothing from them. */
function unknownHost(host: string): NextResponse {
  const words = sayIssue(sayIssuesIn('en-GB'), {
    ...{ code: 'host-unknown', path: [], host: host.slice(0, 100) },
  });
  return new NextResponse(words, {
    status: 421,
    headers: { ...HEADERS, 'content-type': 'text/plain; charset=utf-8' },
  });
}

function refused(status: number): NextResponse {
  return new NextResponse(null, { status, headers: HEADERS });
}

export const config = {
  // Files of the build have their own names, and are nobody's secret.
  matcher: ['/((?!_next/static|fonts/|sounds/).*)'],
};
