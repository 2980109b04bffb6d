import type { Metadata } from 'next';
import { ACCESS } from '@/core/studio';
import { EntryPage } from '@/ui/entry';
import { sayNow } from '../language';

export async function generateMetadata(): Promise<Metadata> {
  return { title: (await sayNow()).t('screen.entry.privacy') };
}

const PARTS = ['kept', 'seen', 'sent', 'cookies', 'long', 'rights'] as const;

const { restDays, tabletRestHours, auditDays, mailDays } = ACCESS;
const TERMS = {
  ...{ teachers: restDays.teacher, students: restDays.student, hours: tabletRestHours },
  ...{ audit: auditDays, mail: mailDays },
};

/** What is kept of whom, who sees it, how long, and what anybody may ask for. */
export default async function PrivacyPage() {
  const say = await sayNow();
  return (
    <EntryPage say={say} title={say.t('screen.entry.privacy')}>
      <dl className="grid max-w-3xl gap-x-8 gap-y-5 text-lg sm:grid-cols-[10rem_1fr]">
        {PARTS.map((part) => (
          <div key={part} className="contents">
            <dt className="font-serif">{say.t(`screen.privacy.title.${part}`)}</dt>
            <dd>
              {part === 'long'
                ? say.t('screen.privacy.text.long', TERMS)
                : say.t(`screen.privacy.text.${part}`)}
            </dd>
          </div>
        ))}
      </dl>
    </EntryPage>
  );
}
