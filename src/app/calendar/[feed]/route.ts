import { exportCalendar, getSpeech, liveContext, readFeed } from '@/server';
import { sayOnPaperIn } from '@/words';
import { languageNow } from '../../language';

/** A student's plan for calendar programs, which know nobody here: whoever has its address reads it. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ feed: string }> },
): Promise<Response> {
  const feed = (await params).feed.replace(/\.ics$/, '');
  const me = readFeed(liveContext(), feed);
  if (!me.ok) return new Response(null, { status: 404 });
  const say = sayOnPaperIn(await languageNow(), getSpeech(me.value));
  const calendar = exportCalendar(me.value, say, me.value.store.id);
  if (!calendar.ok) return new Response(null, { status: 404 });
  const headers = { 'content-type': 'text/calendar; charset=utf-8', 'cache-control': 'private' };
  return new Response(calendar.value, { headers });
}
